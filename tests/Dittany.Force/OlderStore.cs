using Dittany.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Dittany.Force;

/// <summary>
/// A store as it was before the last of its migrations, with some pieces in it, so that the next start brings it up to date.
/// </summary>
public static class OlderStore
{
    public static void Make(DataFolder folder)
    {
        using var db = new DittanyDb(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(
            $"{folder.ConnectionString};Pooling=False").AddInterceptors(new DurablePragmas()).Options);
        var before = db.Database.GetMigrations().Reverse().Skip(1).First();
        db.GetService<IMigrator>().Migrate(before);
        for (var i = 1; i <= 20; i++)
        {
            db.Database.ExecuteSql($"INSERT INTO Pieces (Id, Head, CreatedAt) VALUES ({i}, 1, '2027-03-01 10:00:00')");
            db.Database.ExecuteSql($$"""INSERT INTO Revisions (PieceId, Number, Parent, JobJson, What, Nudge, At) VALUES ({{i}}, 1, NULL, '{"schema":"dittany.job/1","today":"2027-03-01","item":{"form":"tea-towel"},"elements":[{"id":"name","kind":"text","text":"Mimi"}]}', 'New piece', 0, '2027-03-01 10:00:00')""");
        }
    }
}
