using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Formats.Json;
using Dittany.Formats.Pictures;
using Dittany.Store;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Web.Tests.Store;

/// <summary>Own forms and pictures as they are kept: revisions, conflicts, undo, archive, the same after a restart.</summary>
public sealed class CupboardStoreTests : IDisposable
{
    private readonly string _path = Directory.CreateTempSubdirectory("dittany-cupboard-").FullName;
    private DataFolder _folder;

    public CupboardStoreTests()
    {
        _folder = DataFolder.Open(_path);
        using var db = Db();
        _folder.Migrate(db);
    }

    public void Dispose() => _folder.Dispose();

    [Fact]
    public async Task Every_change_of_a_form_is_a_revision()
    {
        var first = (await Store().Add(Cloth("Ida’s cloth"), "Measured by hand")).Kept!;
        Assert.Equal("own-ida-s-cloth", first.Form.Id);
        Assert.Equal("own-ida-s-cloth-2", (await Store().Add(Cloth("Ida’s cloth"), "Again")).Kept!.Form.Id);
        var second = (await Store().Change(first.Form with { Colour = "#27303a" }, 1, "Darker")).Kept!;
        Assert.Equal(2, second.Revision);

        // From a page that still shows the first revision nothing is stored, and it is told which stands.
        var late = await Store().Change(first.Form with { Colour = "#ffffff" }, 1, "Late");
        Assert.Null(late.Kept);
        Assert.Equal(2, late.Theirs);
        var wrong = await Store().Change(first.Form.With(first.Form.First with { Zones = [] }), 2, "Wrong");
        Assert.Equal("zones", wrong.Faults.Single().Member);

        _folder.Dispose();
        _folder = DataFolder.Open(_path);
        Assert.Equal("#27303a", (await Store().Find(first.Form.Id))!.Form.Colour);
        await Store().Undo(first.Form.Id);
        Assert.Equal("#f1ede2", (await Store().Find(first.Form.Id))!.Form.Colour);
        await Store().Undo(first.Form.Id);
        Assert.Equal(1, (await Store().Find(first.Form.Id))!.Revision);

        // What is changed after an undo is made from what stood then: undo goes back there, not into what was given up; redo goes to the
        // newest.
        Assert.Equal((false, true), ((await Store().Find(first.Form.Id))!.CanUndo, (await Store().Find(first.Form.Id))!.CanRedo));
        var third = (await Store().Change(first.Form with { Colour = "#4f7358" }, 1, "Greener")).Kept!;
        Assert.Equal(3, third.Revision);
        await Store().Undo(first.Form.Id);
        Assert.Equal(1, (await Store().Find(first.Form.Id))!.Revision);
        await Store().Redo(first.Form.Id);
        Assert.Equal("#4f7358", (await Store().Find(first.Form.Id))!.Form.Colour);
        await Store().Archive(first.Form.Id, away: true);
        Assert.DoesNotContain(await Store().All(), k => k.Form.Id == first.Form.Id);
        Assert.Contains(await Store().All(archived: true), k => k.Form.Id == first.Form.Id && k.Archived);
        await using var db = Db();
        Assert.Equal(4, await db.FormRevisions.CountAsync());
    }

    [Fact]
    public async Task The_same_picture_is_kept_once()
    {
        var picture = new TakenPicture([1, 2, 3], 10, 10, "image/jpeg");
        var id = await Store().Keep(picture);
        Assert.Equal(id, await Store().Keep(picture));
        Assert.Matches("^[0-9a-f]{64}$", id);
        Assert.Equal([1, 2, 3], (await Store().Picture(id))!.Bytes);
        var photo = await Store().Begin(id, "test");
        await Store().Remember(photo, row => row.ViewId = id);
        Assert.Equal(photo, (await Store().PhotographOf(id))!.Id);
    }

    /// <summary>A form written and read is the same form: every form of the catalogue, copied, at its usual size.</summary>
    [Fact]
    public void Forms_go_out_and_come_back_the_same()
    {
        foreach (var form in Catalogue.Forms)
        {
            var size = form.Sizes.First(s => s.Id == form.UsualSize);
            var copy = OwnForm.CopyOf(form, size, "own-copy", $"Ænne’s {form.Name}");
            copy = copy.With(copy.First with
            {
                OpeningMm = 120.5,
                WithinMm = 1.2,
                Folded = FoldSide.Bottom,
                Picture = new Picture(new string('a', 64), 1, 2, 3, 4)
            });
            var read = FormJson.Read(FormJson.Write(copy));
            Assert.Empty(read.Faults);
            Assert.Equal(FormJson.Write(copy), FormJson.Write(read.Form!));
            Assert.Equal(copy.Faces.Select(f => (f.Id, f.Name, f.Zones.Count, f.Obstacles.Count, f.OpeningMm, f.Folded, f.Picture)),
                read.Form!.Faces.Select(f => (f.Id, f.Name, f.Zones.Count, f.Obstacles.Count, f.OpeningMm, f.Folded, f.Picture)));
            Assert.Equal((copy.Use, copy.Like), (read.Form.Use, read.Form.Like));
        }
    }

    /// <summary>A form of one side as it was written before there were several reads as it did.</summary>
    [Fact]
    public void A_form_without_sides_has_a_front()
    {
        var read = FormJson.Read("""{"schema":"dittany.form/1","id":"own-a","name":"a","outlineMm":[[0,0],[90,0],[90,90]],"zones":[{"name":"z","ringMm":[[10,1],[89,1],[89,80]]}],"openingMm":60}""");
        Assert.Empty(read.Faults);
        Assert.Equal(("front", "front", 60.0), (read.Form!.First.Id, read.Form.First.Name, read.Form.First.OpeningMm));
    }

    /// <summary>
    /// Files that are no form: each told where and what, none thrown; random damage of a good file from a fixed seed too.
    /// </summary>
    [Theory]
    [InlineData("", "not JSON")]
    [InlineData("[]", "")]
    [InlineData("{\"id\":1}", "text is wanted")]
    [InlineData("{\"id\":\"a\",\"name\":\"b\",\"outlineMm\":[[0,0],[1]],\"zones\":[]}", "two numbers")]
    [InlineData("{\"id\":\"a\",\"name\":\"b\",\"outlineMm\":[[0,0],[90,0],[90,90]],\"zones\":[{\"name\":\"z\",\"ringMm\":[[0,0],[9,0],[9,9]]}],\"colour\":\"red\"}", "not a colour")]
    [InlineData("{\"id\":\"a\",\"name\":\"b\",\"outlineMm\":[[0,0],[90,0],[90,90]],\"zones\":[],\"shelf\":1}", "shelf")]
    [InlineData("{\"schema\":\"other\",\"id\":\"a\",\"name\":\"b\",\"outlineMm\":[[0,0],[90,0],[90,90]],\"zones\":[]}", "another schema")]
    public void What_is_no_form_is_told(string json, string said)
    {
        var read = FormJson.Read(json);
        Assert.Null(read.Form);
        Assert.NotEmpty(read.Faults);
        Assert.Contains(said, string.Join(' ', read.Faults.Select(f => $"{f.Member} {f.Detail}")), StringComparison.Ordinal);
    }

    [Fact]
    public void Damaged_forms_are_refused_kindly()
    {
        var good = FormJson.Write(Cloth("damaged"));
        var random = new Random(5);
        for (var i = 0; i < 400; i++)
        {
            var letters = good.ToCharArray();
            for (var n = 0; n < 1 + (i % 4); n++)
            {
                letters[random.Next(letters.Length)] = (char)random.Next(32, 126);
            }

            var read = FormJson.Read(new string(letters));
            Assert.True(read.Form is null == read.Faults.Count > 0);
        }
    }

    /// <summary>
    /// Revisions kept before each told what it was made from were made from the one before: after the change of the store undo goes there.
    /// </summary>
    [Fact]
    public async Task Older_stores_are_taken_over()
    {
        _folder.Dispose();
        _folder = DataFolder.Open(Directory.CreateTempSubdirectory("dittany-older-").FullName);
        await using (var db = Db())
        {
            await Microsoft.EntityFrameworkCore.Infrastructure.AccessorExtensions.GetService<Microsoft.EntityFrameworkCore.Migrations.IMigrator>(db).MigrateAsync("Tracings");
            var json = FormJson.Write(Cloth("old") with { Id = "own-old" });
            await db.Database.ExecuteSqlAsync($"INSERT INTO Forms (Id, Head, Archived) VALUES ('own-old', 2, 0)");
            await db.Database.ExecuteSqlAsync(
                $"""
                INSERT INTO FormRevisions (FormId, Number, Json, What, At) VALUES
                ('own-old', 1, {json}, 'Measured', '2026-11-01 10:00:00'), ('own-old', 2, {json}, 'Changed', '2026-11-02 10:00:00')
                """);
            _folder.Migrate(db);
        }

        Assert.True((await Store().Find("own-old"))!.CanUndo);
        await Store().Undo("own-old");
        Assert.Equal(1, (await Store().Find("own-old"))!.Revision);
        await Store().Redo("own-old");
        Assert.Equal(2, (await Store().Find("own-old"))!.Revision);
    }

    private CupboardStore Store() => new(Db(), TimeProvider.System);

    private DittanyDb Db() => new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite(_folder.ConnectionString).AddInterceptors(
        new DurablePragmas()).Options);

    private static OwnForm Cloth(string name) => new(
        "new", name, "rectangle", new Dictionary<string, double>(StringComparer.Ordinal) { ["width"] = 300 },
            [OwnFace.Front([new(0, 0), new(300, 0), new(300, 200), new(0, 200)],
            [new OwnZone("all", "all of it", [new(10, 10), new(290, 10), new(290, 190), new(10, 190)])], [])]);
}
