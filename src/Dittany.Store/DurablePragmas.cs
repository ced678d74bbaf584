using System.Data.Common;
using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Dittany.Store;

/// <summary>Write-ahead log and full sync on every connection: what was confirmed is on the disk, whenever the program is killed.</summary>
public sealed class DurablePragmas : DbConnectionInterceptor
{
    private const string Pragmas = "PRAGMA journal_mode = WAL; PRAGMA synchronous = FULL; PRAGMA foreign_keys = ON; PRAGMA busy_timeout = "
        + "5000;";

    public override void ConnectionOpened(DbConnection connection, ConnectionEndEventData eventData)
    {
        using var command = connection.CreateCommand();
        command.CommandText = Pragmas;
        command.ExecuteNonQuery();
    }

    public override async Task ConnectionOpenedAsync(DbConnection connection, ConnectionEndEventData eventData,
        CancellationToken cancellationToken = default)
    {
        await using var command = connection.CreateCommand();
        command.CommandText = Pragmas;
        await command.ExecuteNonQueryAsync(cancellationToken);
    }
}
