using Dittany.Store;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;

namespace Dittany.Web.Tests.Store;

/// <summary>What hangs on something in the store hangs on what is there; the database itself sees to it.</summary>
public sealed class KeysTests : IDisposable
{
    private const string At = "2026-11-01 10:00:00";

    /// <summary>A row in every table that hangs on another, as a store held them before there were keys.</summary>
    private const string Rows =
        $"""
        INSERT INTO Pieces (Id, Head, CreatedAt, PutAway) VALUES (1, 2, '{At}', 0);
        INSERT INTO Revisions (PieceId, Number, Parent, JobJson, What, Nudge, At)
          VALUES (1, 1, NULL, 'null', 'New', 0, '{At}'), (1, 2, 1, 'null', 'Changed', 1, '{At}');
        INSERT INTO Begun (PieceId, Number, WorkshopJson, PlanJson, At)
          VALUES (1, 0, 'null', 'null', '{At}'), (1, 2, 'null', 'null', '{At}');
        INSERT INTO Printed (Id, PieceId, Revision, InputHash, PlanJson, At, Kind, Printer, Enlarged, Void)
          VALUES (7, 1, 2, 'h', 'null', '{At}', 'tag', 'p', 1, 0);
        INSERT INTO Proofs (Id, PieceId, Words, Who, At) VALUES (3, 1, 'Oda', 'she', '{At}');
        INSERT INTO Pictures (Id, Bytes, ContentType, WidthPx, HeightPx, At) VALUES ('abc', x'00', 'image/png', 1, 1, '{At}');
        INSERT INTO Log (Id, PieceId, Step, Kind, PlannedMinutes, Minutes, Note, Once, "For", PictureId, TakenBack, At)
          VALUES (5, 1, 's', 'sew', 1, 2, '', 'one', NULL, 'abc', 0, '{At}'), (6, 1, 's', 'sew', 1, 3, '', 'two', 5, NULL, 1, '{At}');
        INSERT INTO Forms (Id, Head, Archived) VALUES ('own-f', 2, 0);
        INSERT INTO FormRevisions (FormId, Number, Parent, Json, What, At)
          VALUES ('own-f', 1, NULL, 'null', 'Measured', '{At}'), ('own-f', 2, 1, 'null', 'Changed', '{At}');
        INSERT INTO Photographs (Id, PictureId, Note, TurnDegrees, ViewId, ForForm, At) VALUES (4, 'abc', '', 0, 'abc', 'own-f', '{At}');
        INSERT INTO Workshops (Number, Parent, Json, What, At) VALUES (1, NULL, 'null', 'a', '{At}'), (2, 1, 'null', 'b', '{At}');
        """;

    private static readonly string[] Tables =
        ["Pieces", "Revisions", "Begun", "Printed", "Proofs", "Pictures", "Log", "Forms", "FormRevisions", "Photographs", "Workshops"];

    private readonly DataFolder _folder = DataFolder.Open(Directory.CreateTempSubdirectory("dittany-keys-").FullName);

    public void Dispose() => _folder.Dispose();

    [Fact]
    public async Task A_store_from_before_the_keys_keeps_every_row()
    {
        await using var db = Db();
        await db.GetService<IMigrator>().MigrateAsync("LogOf");
        await db.Database.ExecuteSqlRawAsync(Rows);
        var before = await All(db);
        await db.GetService<IMigrator>().MigrateAsync("Keys");
        Assert.Equal(before, await All(db));
        _folder.Migrate(db);
        Assert.Equal(16, before.Sum(t => t.Value.Count));
        Assert.Empty(await Read(db, "PRAGMA foreign_key_check"));
        Assert.Equal(["ok"], await Read(db, "PRAGMA integrity_check"));
        Assert.False(db.Database.HasPendingModelChanges());
    }

    /// <summary>The tables are as the model makes them: no column, key or index was left out where a table was made anew by hand.</summary>
    [Fact]
    public async Task The_store_is_as_the_model_has_it()
    {
        var other = DataFolder.Open(Directory.CreateTempSubdirectory("dittany-model-").FullName);
        await using var made = new DittanyDb(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(other.ConnectionString).Options);
        await made.Database.EnsureCreatedAsync();
        await using var db = Db();
        _folder.Migrate(db);
        foreach (var row in await Read(made, "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%'"))
        {
            foreach (var of in new[] { "foreign_key_list", "index_list", "table_info" })
            {
                Assert.Equal(await Facts(made, of, row), await Facts(db, of, row));
            }
        }

        other.Dispose();
    }

    [Theory]
    [InlineData("INSERT INTO Proofs (PieceId, Words, Who, At) VALUES (9, 'Oda', 'she', '2026-11-01')")]
    [InlineData("INSERT INTO Printed (PieceId, Revision, InputHash, PlanJson, At, Kind, Printer, Enlarged, Void) VALUES (1, 9, 'h', '', '2026-11-01', 'tag', 'p', 1, 0)")]
    [InlineData("INSERT INTO Revisions (PieceId, Number, Parent, JobJson, What, Nudge, At) VALUES (1, 3, 9, '', '', 0, '2026-11-01')")]
    [InlineData("INSERT INTO Begun (PieceId, Number, WorkshopJson, PlanJson, At) VALUES (9, 1, '', '', '2026-11-01')")]
    [InlineData("UPDATE Log SET PictureId = 'nowhere' WHERE Id = 5")]
    [InlineData("UPDATE Log SET \"For\" = 99 WHERE Id = 6")]
    [InlineData("UPDATE Photographs SET ForForm = 'own-nowhere'")]
    [InlineData("DELETE FROM Pieces")]
    [InlineData("DELETE FROM Pictures")]
    public async Task Nothing_hangs_on_what_is_not_there(string change)
    {
        await using var db = Db();
        _folder.Migrate(db);
        await db.Database.ExecuteSqlRawAsync(Rows);
        var before = await All(db);
        var refused = await Assert.ThrowsAsync<Microsoft.Data.Sqlite.SqliteException>(() => db.Database.ExecuteSqlRawAsync(change));
        Assert.Contains("FOREIGN KEY", refused.Message, StringComparison.Ordinal);
        Assert.Equal(before, await All(db));
    }

    private static async Task<SortedDictionary<string, List<string>>> All(DittanyDb db)
    {
        var all = new SortedDictionary<string, List<string>>(StringComparer.Ordinal);
        foreach (var table in Tables)
        {
            var columns = (await Facts(db, "table_info", table)).Select(f => f.Split('|')[1]).Order(StringComparer.Ordinal);
            all[table] = await Read(db, $"SELECT {string.Join(", ", columns.Select(c => $"\"{c}\""))} FROM \"{table}\" ORDER BY 1, 2");
        }

        return all;
    }

    /// <summary>What the database tells of a table, without the numbers its parts happen to have.</summary>
    private static async Task<List<string>> Facts(DittanyDb db, string of, string table) =>
        (await Read(db, $"PRAGMA {of}(\"{table}\")")).Select(r => of == "table_info" ? "|" + string.Join('|', r.Split('|').Where((_, i) => i is not 0 and not 4))
            : string.Join('|', r.Split('|').Skip(1))).Order(StringComparer.Ordinal).ToList();

    private static async Task<List<string>> Read(DittanyDb db, string sql)
    {
        await db.Database.OpenConnectionAsync();
        await using var command = db.Database.GetDbConnection().CreateCommand();
        command.CommandText = sql;
        await using var reader = await command.ExecuteReaderAsync();
        var rows = new List<string>();
        while (await reader.ReadAsync())
        {
            rows.Add(string.Join('|', Enumerable.Range(0, reader.FieldCount).Select(i =>
                Convert.ToString(reader.GetValue(i), System.Globalization.CultureInfo.InvariantCulture))));
        }

        await db.Database.CloseConnectionAsync();
        return rows;
    }

    private DittanyDb Db() => new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(_folder.ConnectionString).AddInterceptors(
        new DurablePragmas()).Options);
}
