using Dittany.Core.Jobs;
using Dittany.Core.Telling;
using Dittany.Store;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Web.Tests.Store;

public sealed class StoreTests : IDisposable
{
    private readonly string _path = Directory.CreateTempSubdirectory("dittany-store-").FullName;
    private readonly Clock _clock = new();
    private DataFolder _folder;

    public StoreTests()
    {
        _folder = DataFolder.Open(_path);
        using var db = Db();
        _folder.Migrate(db);
    }

    public void Dispose() => _folder.Dispose();

    [Fact]
    public async Task Every_change_is_a_revision_and_undo_only_moves_the_head()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        var second = await Change(id, 2, "strands", "2");
        Assert.Equal(3, second.Piece!.Head);
        var undone = await Undo(id);
        Assert.Equal((2, true, true), (undone!.Head, undone.CanUndo, undone.CanRedo));
        Assert.Null(undone.Job.Elements[0].Strands);
        Assert.Equal(14, undone.Job.Wordings[0].CapHeightMm);

        // After a restart too.
        Restart();
        Assert.Equal(2, (await Redo(id))!.Job.Elements[0].Strands);
        await Undo(id);
        await Undo(id);
        var first = await Undo(id);
        Assert.Equal((1, false), (first!.Head, first.CanUndo));
        await using var db = Db();
        Assert.Equal(3, await db.Revisions.CountAsync());
    }

    [Fact]
    public async Task A_change_after_undo_grows_a_new_branch_and_loses_nothing()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        await Undo(id);
        await Change(id, 1, "capHeightMm", "18");
        Assert.False((await Store().Find(id))!.CanRedo);
        await Undo(id);
        Assert.Equal(18, (await Redo(id))!.Job.Wordings[0].CapHeightMm);
        await using var db = Db();
        Assert.Equal(3, await db.Revisions.CountAsync());
    }

    [Fact]
    public async Task Two_tabs_keep_both_changes_of_different_members()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        var other = await Change(id, 1, "strands", "2");
        Assert.Equal(14, other.Piece!.Job.Wordings[0].CapHeightMm);
        Assert.Equal(2, other.Piece.Job.Elements[0].Strands);
    }

    [Fact]
    public async Task Two_tabs_on_the_same_member_conflict_with_both_values()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        var conflict = (await Change(id, 1, "capHeightMm", "18")).Conflict!;
        Assert.Equal(("14", "18"), (conflict.Theirs, conflict.Yours));
        Assert.Equal(2, (await Store().Find(id))!.Head);

        // The same value in both is no conflict.
        Assert.NotNull((await Change(id, 1, "capHeightMm", "14")).Piece);
    }

    [Fact]
    public async Task Faults_store_nothing()
    {
        var id = await Store().Create(Towel(), "New piece");
        Assert.Equal("#/elements/0/capHeightMm", Assert.Single((await Change(id, 1, "capHeightMm", "900")).Faults!).Pointer);
        Assert.Equal("#/elements/0/text", Assert.Single((await Change(id, 1, "text", "日")).Faults!).Pointer);
        Assert.Equal(1, (await Store().Find(id))!.Head);
    }

    [Fact]
    public async Task Quick_nudges_undo_as_one_and_slow_ones_do_not()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Nudge(id, 1, "250,600");
        _clock.Now += TimeSpan.FromMilliseconds(200);
        await Nudge(id, 2, "251,600");
        _clock.Now += TimeSpan.FromMilliseconds(249);
        await Nudge(id, 3, "252,600");
        _clock.Now += TimeSpan.FromMilliseconds(400);
        await Nudge(id, 4, "253,600");
        Assert.Equal(252, (await Undo(id))!.Job.Elements[0].CentreMm!.Value.X);
        Assert.Null((await Undo(id))!.Job.Elements[0].CentreMm);
    }

    /// <summary>A tab that was open while others went on takes back nothing that it never saw.</summary>
    [Fact]
    public async Task An_undo_names_what_it_takes_back()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        await Change(id, 2, "strands", "2");
        var stale = (await Store().Undo(id, 2))!;
        Assert.Equal((PieceStore.RevisionItself, 3), (stale.Conflict!.Member, stale.Conflict.Piece.Head));
        Assert.Equal(3, (await Store().Find(id))!.Head);
        Assert.NotNull((await Store().Redo(id, 2))!.Conflict);

        // One sent twice acts once.
        Assert.Equal(2, (await Store().Undo(id, 3))!.Piece!.Head);
        Assert.NotNull((await Store().Undo(id, 3))!.Conflict);
        Assert.Null(await Store().Undo(99, 1));
    }

    [Fact]
    public async Task Of_many_moves_at_once_each_counts()
    {
        var id = await Store().Create(Towel() with
        {
            Elements = [new TextElement("name", "Zoë",
            CentreMm: new Core.Geometry.Pt(250, 600))]
        }, "New piece");
        var moved = await Task.WhenAll(Enumerable.Range(0, 20).Select(_ => Task.Run(() => Store().Change(
            id, null, (piece, _) => Task.FromResult(new Change("centreMm",
                $"{(piece.Job.Elements[0].CentreMm!.Value.X + 1).ToString(System.Globalization.CultureInfo.InvariantCulture)},600",
                "Moved")), Workshop.Default, nudge: true))));
        Assert.All(moved, m => Assert.NotNull(m!.Piece));
        Assert.Equal(270, (await Store().Find(id))!.Job.Elements[0].CentreMm!.Value.X);
        await using var db = Db();
        Assert.Equal(21, await db.Revisions.CountAsync());
    }

    [Fact]
    public async Task A_form_sent_twice_makes_one_piece()
    {
        var made = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ =>
            Task.Run(() => Store().Create(Towel(), "New piece", "the-very-form"))));
        Assert.Single(made.Distinct());
        Assert.NotEqual(made[0], await Store().Create(Towel(), "New piece", "another"));
        Assert.Equal(2, (await Store().All()).Pieces.Count);
    }

    [Fact]
    public async Task What_is_put_away_is_on_no_list_and_comes_back()
    {
        var id = await Store().Create(Towel() with { Title = "Winter towel" }, "New piece");
        Assert.True(await Store().PutAway(id, true));
        Assert.Empty((await Store().All()).Pieces);
        Assert.Equal((id, "Winter towel"), Assert.Single(await Store().Away()));
        Assert.True((await Store().Find(id))!.PutAway);
        await Store().PutAway(id, false);
        Assert.Equal(id, Assert.Single((await Store().All()).Pieces).Id);
        Assert.False(await Store().PutAway(99, true));
    }

    /// <summary>One piece that rules or a disk have spoilt stands beside the others as what it is, with its way out.</summary>
    [Theory]
    [InlineData("{\"schema\":\"dittany.job/1\",\"title\":\"Blank\",\"today\":\"2027-03-01\",\"item\":{\"form\":\"tea-towel\"},\"elements\":[{\"id\":\"name\",\"kind\":\"text\",\"text\":\"\u200b\"}]}", "Blank", "zero width space (U+200B)")]
    [InlineData("{\"schema\":\"dittany.job/1\",\"item\":{\"form\":\"moon\"},\"elements\":[{\"kind\":\"text\",\"text\":\"Ola\"}]}", "Ola",
        "There is no form 'moon'")]
    [InlineData("{\"schema\":\"ditta", "Piece 1", "not JSON")]
    [InlineData("", "Piece 1", "not JSON")]
    public async Task A_piece_past_reading_is_one_bad_piece(string json, string name, string told)
    {
        var id = await Store().Create(Towel(), "New piece");
        await Change(id, 1, "capHeightMm", "14");
        var whole = await Store().Create(Towel(), "New piece");
        await using (var db = Db())
        {
            await db.Revisions.Where(r => r.PieceId == id && r.Number == 2).ExecuteUpdateAsync(r => r.SetProperty(x => x.JobJson, json));
        }

        var shelf = await Store().All();
        Assert.Equal(whole, Assert.Single(shelf.Pieces).Id);
        var bad = Assert.Single(shelf.Bad);
        Assert.Equal((id, name, true), (bad.Id, bad.Name, bad.CanUndo));
        Assert.Contains(told, bad.Fault.Detail, StringComparison.Ordinal);
        Assert.Equal(json, await Store().JsonOf(id));
        Assert.Equal(bad.Fault, (await Change(id, 2, "strands", "2")).Bad!.Fault);
        Assert.Equal(14 - 14, (await Store().Undo(id, 2))!.Piece!.Job.Wordings[0].CapHeightMm ?? 0);
    }

    [Fact]
    public async Task The_workshop_has_revisions_of_its_own()
    {
        Assert.Equal(60, (await Shop().Current()).MinutesPerEvening);
        var changed = Workshop.Default with
        {
            MinutesPerEvening = 90,
            Habits = new Dictionary<string,
            string>(StringComparer.Ordinal)
            { ["hold"] = "in-hand" }
        };
        await Shop().Save(changed, "Longer evenings");
        await Shop().Save(changed with { EveningsPerWeek = 2 }, "Fewer evenings");
        Restart();
        Assert.Equal((2, 90.0, "in-hand"), ((await Shop().Current()).EveningsPerWeek, (await Shop().Current()).MinutesPerEvening,
            (await Shop().Current()).Habit("hold")));
        await Shop().Undo();
        Assert.Equal(5, (await Shop().Current()).EveningsPerWeek);
        await Shop().Undo();
        Assert.Equal(60, (await Shop().Current()).MinutesPerEvening);
    }

    [Fact]
    public async Task A_sheet_keeps_its_plan_and_its_number()
    {
        var id = await Store().Create(Towel(), "New piece");
        var first = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "template", "mine");
        Assert.Equal(first.Id, (await Sheets().Printed(id, 1, "hash", "{\"other\":1}"u8.ToArray(), "template", "mine")).Id);
        Restart();
        Assert.Equal(("{}", 1.0, false), (await Sheets().All(id)).Select(p => (p.PlanJson, p.Enlarged, p.Void)).Single());
        Assert.NotEqual(first.Id, (await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "care", "mine")).Id);
    }

    /// <summary>A printer that makes 97 of 100 needs 100/97; measured 98 on the corrected sheet it makes 98 × 97/100.</summary>
    [Fact]
    public async Task A_check_line_measured_otherwise_voids_the_sheet_and_corrects_the_next()
    {
        var id = await Store().Create(Towel(), "New piece");
        var first = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "template", "mine");
        var twin = await Sheets().Printed(id, 1, "other", "{}"u8.ToArray(), "template", "mine");
        var elsewhere = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "template", "another");
        foreach (var kind in new[] { "stencil", "pieces", "cut-out", "shapes" })
        {
            await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), kind, "mine");
        }

        // A care card says the same whatever its printer does to a length.
        var care = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "care", "mine");
        var measured = await Sheets().Measure(id, first.Id, 97);
        Assert.True(measured!.Sheet.Void);
        Assert.Equal(0.97, measured.PrinterScale, 9);
        Restart();
        Assert.Equal([elsewhere.Id, care.Id], (await Sheets().All(id)).Where(p => !p.Void).Select(p => p.Id));
        Assert.Equal(twin.Id, (await Sheets().All(id))[1].Id);

        var second = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "template", "mine");
        Assert.NotEqual(first.Id, second.Id);
        Assert.Equal(1 / 0.97, second.Enlarged, 9);
        Assert.Equal(0.98 * 0.97, (await Sheets().Measure(id, second.Id, 98))!.PrinterScale, 9);
        var third = await Sheets().Printed(id, 1, "hash", "{}"u8.ToArray(), "template", "mine");
        Assert.False((await Sheets().Measure(id, third.Id, 100.4))!.Sheet.Void);
        Assert.Equal(0.98 * 0.97, await Sheets().ScaleOf("mine"), 9);
        Assert.Equal(1, await Sheets().ScaleOf("another"));
        Assert.Null(await Sheets().Measure(id + 1, third.Id, 100));
    }

    [Fact]
    public async Task A_proof_holds_for_its_very_words()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Sheets().Proof(id, "Zoë", "Ada, by letter");
        Restart();
        Assert.Equal("Ada, by letter", (await Sheets().ProofOf(id, "Zoë"))!.Who);
        Assert.Null(await Sheets().ProofOf(id, "Zoe"));
        Assert.Null(await Sheets().ProofOf(id + 1, "Zoë"));
    }

    /// <summary>
    /// Once begun, a piece is worked with the habits it was begun with; evenings are those of today. What is stitched does not move.
    /// </summary>
    [Fact]
    public async Task What_is_begun_keeps_its_habits_and_its_stitches()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Store().Change(id, 1, new Change("done", "runs=1", "One length"), await Shop().Current());
        await Shop().Change(0, [("habits/letter-stitch", "chain"), ("minutesPerEvening", "90")], "Habits");
        Restart();
        Assert.Contains("dittany.plan/1", Assert.Single(Db().Begun).PlanJson, StringComparison.Ordinal);
        var (piece, workshop) = ((await Store().Find(id))!, await Shop().Current());
        Assert.Equal(("by-height", 90.0), (piece.In(workshop).Habit("letter-stitch"), piece.In(workshop).MinutesPerEvening));
        var moved = await Store().Change(id, piece.Head, new Change("capHeightMm", "11", "Smaller"), workshop);
        Assert.Equal("#/done", Assert.Single(moved!.Faults!).Pointer);
        Assert.Equal(piece.Head, (await Store().Find(id))!.Head);
        var free = await Store().Change(id, piece.Head, new Change("done", null, "Unpicked"), workshop);
        Assert.Equal("chain", free!.Piece!.In(workshop).Habit("letter-stitch"));
    }

    /// <summary>
    /// Each branch of revisions goes on with the workshop it was begun with: stepping back over a second beginning finds the first one's.
    /// </summary>
    [Fact]
    public async Task Every_branch_keeps_the_workshop_it_was_begun_with()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Store().Change(id, 1, new Change("done", "marked", "Marked"), await Shop().Current());
        await Shop().Change(0, [("habits/letter-stitch", "chain")], "Habits");
        var unpicked = await Store().Change(id, 2, new Change("done", null, "Not marked"), await Shop().Current());
        var again = await Store().Change(id, unpicked!.Piece!.Head, new Change("done", "marked", "Marked again"), await Shop().Current());
        Assert.Equal("chain", again!.Piece!.In(await Shop().Current()).Habit("letter-stitch"));
        await Store().Undo(id, again.Piece.Head);
        var first = await Store().Undo(id, unpicked.Piece.Head);
        Restart();
        Assert.Equal(2, first!.Piece!.Head);
        Assert.Equal("by-height", (await Store().Find(id))!.In(await Shop().Current()).Habit("letter-stitch"));
        Assert.Equal("by-height", Assert.Single((await Store().All()).Pieces).In(await Shop().Current()).Habit("letter-stitch"));
    }

    /// <summary>However many pieces there are, the list asks the store as often as for one.</summary>
    [Fact]
    public async Task The_list_asks_as_often_for_many_as_for_one()
    {
        await Store().Create(Towel(), "New piece");
        var one = await Asked();
        for (var i = 0; i < 12; i++)
        {
            await Store().Create(Towel(), "New piece");
        }

        Assert.InRange(one, 1, 3);
        Assert.Equal(one, await Asked());

        async Task<int> Asked()
        {
            var counter = new Counter();
            await using var db = new DittanyDb(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(_folder.ConnectionString).AddInterceptors(
                counter).Options);
            await new PieceStore(db, _clock, new LetterShelf()).All();
            return counter.Commands;
        }
    }

    private sealed class Counter : Microsoft.EntityFrameworkCore.Diagnostics.DbCommandInterceptor
    {
        public int Commands { get; private set; }

        public override ValueTask<Microsoft.EntityFrameworkCore.Diagnostics.InterceptionResult<System.Data.Common.DbDataReader>>
            ReaderExecutingAsync(
            System.Data.Common.DbCommand command, Microsoft.EntityFrameworkCore.Diagnostics.CommandEventData eventData,
                Microsoft.EntityFrameworkCore.Diagnostics.InterceptionResult<System.Data.Common.DbDataReader> result,
                CancellationToken cancellationToken = default)
        {
            Commands++;
            return base.ReaderExecutingAsync(command, eventData, result, cancellationToken);
        }
    }

    /// <summary>A first wash begins nothing: the habits of the day still hold.</summary>
    [Fact]
    public async Task A_first_wash_binds_nothing()
    {
        var id = await Store().Create(Towel(), "New piece");
        await Store().Change(id, 1, new Change("done", "washed=2027-03-01", "Washed"), await Shop().Current());
        await Shop().Change(0, [("habits/letter-stitch", "chain")], "Habits");
        Assert.Equal("chain", (await Store().Find(id))!.In(await Shop().Current()).Habit("letter-stitch"));
        Assert.Empty(Db().Begun);
    }

    /// <summary>Two tabs: changes of different members are both kept, the same member is a conflict that stores nothing.</summary>
    [Fact]
    public async Task Two_tabs_on_the_workshop_do_not_lose_each_others_changes()
    {
        Assert.True((await Shop().Change(0, [("habits/hand", "left")], "Hand")).Taken);
        Assert.True((await Shop().Change(0, [("eveningsPerWeek", "3")], "Evenings")).Taken);
        var workshop = await Shop().Current();
        Assert.Equal(("left", 3), (workshop.Habit("hand"), workshop.EveningsPerWeek));
        var head = await Shop().Head();
        var conflict = await Shop().Change(0, [("eveningsPerWeek", "6"), ("paper", "letter")], "Evenings");
        Assert.Equal(new WorkshopConflict("eveningsPerWeek", "3", "6"), Assert.Single(conflict.Conflicts));
        Assert.Equal(head, await Shop().Head());
        Assert.Equal("#/workshop/eveningsPerWeek", (await Shop().Change(head, [("eveningsPerWeek", "9")], "Evenings")).Faults[0].Pointer);
        Assert.Equal("#/workshop/hourlyRate", (await Shop().Change(head, [("hourlyRate", "much")], "Rate")).Faults[0].Pointer);
        Assert.Equal("a4", (await Shop().Current()).Paper);
    }

    [Fact]
    public void One_program_a_data_folder()
    {
        var refused = Assert.Throws<DataFolderException>(() => DataFolder.Open(_path));
        Assert.Contains("in use", refused.Message, StringComparison.Ordinal);
    }

    [Fact]
    public void The_demonstration_refuses_a_folder_it_did_not_make()
    {
        _folder.Dispose();
        var refused = Assert.Throws<DataFolderException>(() => DataFolder.Open(_path, demo: true));
        Assert.Contains("not the demonstration's", refused.Message, StringComparison.Ordinal);
        _folder = DataFolder.Open(_path);
    }

    [Fact]
    public async Task The_database_syncs_fully_and_keeps_foreign_keys()
    {
        await using var db = Db();
        await db.Database.OpenConnectionAsync();
        Assert.Equal("wal", await Scalar(db, "PRAGMA journal_mode"));
        Assert.Equal("2", await Scalar(db, "PRAGMA synchronous"));
        Assert.Equal("1", await Scalar(db, "PRAGMA foreign_keys"));
    }

    private static async Task<string?> Scalar(DittanyDb db, string sql)
    {
        await using var command = db.Database.GetDbConnection().CreateCommand();
#pragma warning disable CA2100 // The statements are this file's own.
        command.CommandText = sql;
#pragma warning restore CA2100
        return (await command.ExecuteScalarAsync())?.ToString();
    }

    private static Job Towel() => new("tea-towel", [new TextElement("name", "Mimi")], new DateOnly(2027, 3, 1));

    private async Task<Piece?> Undo(int id) => (await Store().Undo(id, (await Store().Find(id))!.Head))!.Piece;

    private async Task<Piece?> Redo(int id) => (await Store().Redo(id, (await Store().Find(id))!.Head))!.Piece;

    private async Task<Changed> Change(int id, int from, string member, string value) =>
        (await Store().Change(id, from, new Change(member, value, "test"), Workshop.Default))!;

    private async Task Nudge(int id, int from, string centre) =>
        Assert.NotNull((await Store().Change(id, from, new Change("centreMm", centre, "test"), Workshop.Default, nudge: true))!.Piece);

    private PieceStore Store() => new(Db(), _clock, new LetterShelf());

    private WorkshopStore Shop() => new(Db(), _clock);

    private SheetStore Sheets() => new(Db(), _clock);

    private DittanyDb Db() => new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(_folder.ConnectionString).AddInterceptors(
        new DurablePragmas()).Options);

    private void Restart()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        _folder.Dispose();
        _folder = DataFolder.Open(_path);
    }

    private sealed class Clock : TimeProvider
    {
        public DateTimeOffset Now { get; set; } = new(2027, 3, 1, 19, 0, 0, TimeSpan.Zero);

        public override DateTimeOffset GetUtcNow() => Now;
    }
}
