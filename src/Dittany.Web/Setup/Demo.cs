using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Learning;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.Telling;
using Dittany.Core.Time;
using Dittany.Formats.Pictures;
using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>Made-up pieces of a made-up workshop, stored once in an empty demonstration folder.</summary>
public static class Demo
{
    /// <summary>
    /// The pieces, the last first: four items, several cloths, short and long words, accents, two rows, dark cloth, choices of her own;
    /// one that
    /// cannot fit, one that does not read, one due too soon, one half stitched, one drying, one finished.
    /// </summary>
    public static IReadOnlyList<(Job Job, string What)> Pieces(DateOnly today) =>
    [
        (Piece("christmas-stocking", today, "Marigold", "Marigold’s stocking", today.AddDays(22)), "New piece"),
        (Piece("backpack", today, "Otto", "Otto’s backpack", today.AddDays(17)) with { Wearer = "child" }, "New piece"),
        (Piece("napkin", today, "Ottokar", "Wedding napkin", today.AddDays(2)) with { Done = new Done(true, 99, today.AddDays(-2), true) },
            "Finished"),
        (Piece("tea-towel", today, "Thyme", "Towel with thyme", today.AddDays(5)) with { Done = new Done(true, 99, today.AddDays(-1)) },
            "Rinsed and hung up"),
        (Piece("napkin", today, "Great-aunt Philomena", "A whole name in a corner", today.AddDays(33),
            overrides: [("words.size", "14"), ("words.rows", "1")]), "New piece"),
        (Piece("baby-bodysuit", today, "Wilma", "Wilma’s bodysuit", today.AddDays(7), colour: "#b9ccd4") with { Done = new Done(true, 2) },
            "Two lengths stitched"),
        (Piece("tea-towel", today, "Zoë", "Zoë’s first kitchen", today.AddDays(12)), "New piece"),
        (Piece("baby-bodysuit", today, "Little\nPebble", "For Wren’s new brother", today.AddDays(15)) with { Size = "56" }, "New piece"),
        (Piece("napkin", today, "Odalys", "Harvest table napkin", today.AddDays(24)), "New piece"),
        (Piece("tote", today, "Bread & Salt", "Bag for the Alder Lane bakery", today.AddDays(20)), "New piece"),
        (Piece("tea-towel", today, "Kräuter", "The dark herb towel", today.AddDays(26), colour: "#27303a"), "New piece"),
        (Piece("tea-towel", today, "Fridolin Mooshammer", "Fridolin’s long name", today.AddDays(1)), "New piece"),
        (Piece("baby-bodysuit", today, "Juniper", "Juniper, a size up", today.AddDays(30), colour: "#d9e0d2") with { Size = "68" },
            "New piece"),
        (Piece("tote", today, "MÆ", "Monogram on lined canvas", today.AddDays(28), colour: "#7c8f86",
            overrides: [("stitch.outline", "chain")]) with { Size = "38x42-lined" }, "New piece"),
        (Piece("tea-towel", today, "Juniper", "Juniper, ironed on", today.AddDays(36), kind: "linen",
            overrides: [("transfer.method", "hot-iron")]), "New piece"),
        (Piece("napkin", today, "Hippolyta", "Hippolyta in chain", today.AddDays(40),
            overrides: [("stitch.outline", "chain"), ("words.size", "9")]), "New piece"),
    ];

    /// <summary>Pieces with other hands, arrangements and motifs.</summary>
    private static (Job Job, string What)[] Drawn(DateOnly today) =>
    [
        (new Job("quilt-block", [new TextElement("name", "Marlene & Theo", "joined-hand", Motif: "wreath", MotifPlace: "around",
            CapHeightMm: 15)], today, "A wreath round two names", today.AddDays(44)), "New piece"),
        (new Job("apron", [new TextElement("name", "Bread is patience", "slanted-script-line", Arrangement: "arc"), new MotifElement("ear", "wheat-ear", HeightMm: 60)], today,
            "Apron for the Alder Lane bakery", today.AddDays(46)), "New piece"),
        (new Job("cushion-cover", [new MotifElement("daisies", "daisy", Arrangement: "ring", Count: 7, Middle: true, Parts: 9, HeightMm: 190)], today, "Cushion with a ring of daisies", today.AddDays(64)),
            "New piece"),
        (new Job("hoop-picture", [new MotifElement("sunflower", "sunflower", HeightMm: 96)
                {
                    ByPart =
                    [
                        new PartAsked("petal", null, "satin", 2, "#a4472a"), new PartAsked("centre", null, "french-knot", 4, "#4a3526"),
                        new PartAsked("dot", Colour: "#4a3526"),
                    ],
                },], today, "Sunflower in two browns, for the kitchen wall", today.AddDays(80)), "New piece"),
        (new Job("cushion-cover", [new TextElement("name", "Alma", CapHeightMm: 24, CentreMm: new Pt(225, 312)), new MotifElement("ox-eye", "ox-eye-stalk", HeightMm: 118, CentreMm: new Pt(166, 204)),
                new MotifElement("cornflower", "cornflower-stalk", HeightMm: 130, CentreMm: new Pt(222, 196)),
                new MotifElement("buttercup", "buttercup-stalk", HeightMm: 110, CentreMm: new Pt(286, 208)),
                new MotifElement("bird", "songbird", HeightMm: 66, CentreMm: new Pt(234, 246)) { Layer = 1 },], today,
            "A bird among wild flowers, for Alma", today.AddDays(120), Overrides: OverrideSet.Of(("stitch.letters", "varied"))), "New piece"),
        (new Job("tote", [new TextElement("name", "BREAD & BOOKS", "sturdy-serif", Rows: 2, CapHeightMm: 42) { Craft = "paint" }], today,
            "Bag for the reading circle, sprayed", today.AddDays(126)), "New piece"),
        (Field(today) with { Done = new Done(true, 40) }, "On the hoop"),
        (Growing(today), "Something more on it"),
    ];

    /// <summary>A field of thirteen plants over a shirt's back, in eighteen colours, heights uneven as they grow.</summary>
    private static Job Field(DateOnly today)
    {
        (string Motif, double HighMm, string? Petal)[] plants =
        [
            ("ox-eye-stalk", 96, null), ("cornflower-stalk", 84, null), ("lavender", 70, "lavender"), ("buttercup-stalk", 88, null),
            ("poppy", 60, null), ("umbel-stalk", 100, null), ("flower-stem", 80, "rose"), ("ox-eye-stalk", 90, "blush"), ("bell-spike", 74, "lilac"),
            ("cornflower-stalk", 92, "sea"), ("buttercup-stalk", 78, "orange"), ("lavender", 66, "mulberry"), ("umbel-stalk", 104, "berry"),
        ];
        return new Job("shirt", [.. plants.Select((p, i) => new MotifElement($"plant-{i + 1}", p.Motif, HeightMm: p.HighMm,
                CentreMm: new Pt(-156 + (i * 26), 360 - (p.HighMm / 2)))
            {
                ByPart = p.Petal is { } colour ? [new PartAsked(p.Motif == "umbel-stalk" ? "blossom" : "petal", Colour: Palette.HexOf(colour))] : [],
            })], today, "A field of flowers over a shirt’s back", today.AddDays(140), Zone: "back");
    }

    /// <summary>
    /// Own forms of the demonstration: one measured by hand with a button in the way, one traced from a photograph of the made-up camera.
    /// </summary>
    private static async Task Cupboard(CupboardStore cupboard)
    {
        var (pinafore, _) = HandMeasured.Measure(
            "new", "Ida’s pinafore", "trapezoid", new Dictionary<string,
                double>(StringComparer.Ordinal)
            { ["top"] = 190, ["bottom"] = 420, ["height"] = 460, ["hem"] = 14 });
        Pt[] bib = [new(135, 20), new(285, 20), new(320, 150), new(100, 150)];
        Pt[] skirt = [new(80, 200), new(340, 200), new(370, 420), new(50, 420)];
        await cupboard.Add(
            (pinafore! with
            {
                Cloth = "twill",
                Colour = "#b9ccd4",
                Wearer = "child",
                Faces = [pinafore.First, pinafore.First.Behind("back", "back")]
            }).With(pinafore.First with
            {
                Zones = [new OwnZone("bib", "bib", bib), new OwnZone("skirt", "front of the skirt", skirt)],
                Obstacles = [.. pinafore.First.Obstacles, new OwnObstacle("button-1", "button", ObstacleKind.ButtonEdge,
                    Dot(new Pt(160, 34), 7)), new OwnObstacle("button-2", "button", ObstacleKind.ButtonEdge, Dot(new Pt(260, 34), 7)),
                    new OwnObstacle("waist", "waist seam", ObstacleKind.FlatSeam,
                    [new(88, 168), new(332, 168), new(333, 172), new(87, 172)])],
            }),
            "Measured by hand");

        // Taken smaller than a phone would, so that the demonstration is there at once.
        var scene = MadeUpCamera.All[1] with { Pose = MadeUpCamera.All[1].Pose with { FocalPx = 1500, WidthPx = 2000, HeightPx = 1500 } };
        var photo = PictureFile.Take(MadeUpCamera.Render(scene)).Picture!;
        var found = CornerFinder.Find(photo.Bytes, MadeUpCamera.CornersOf(scene), 3);
        var view = Photographed.Straighten(scene.Reference, found.Corners, photo.WidthPx, photo.HeightPx, found.WithinPx,
            turnDegrees: scene.CardTurnDegrees).View!;
        var outline = scene.Item.Select(p => view.ToMm.Map(MadeUpCamera.Seen(scene.Pose, p, 0))).ToArray();
        var picture = await cupboard.Keep(Rectifier.Draw(photo.Bytes, view));
        var photograph = await cupboard.Begin(await cupboard.Keep(photo), "The made-up camera: a cotton bag with a sheet of A4 beside it");
        await cupboard.Remember(photograph, row => (row.Corners, row.Reference, row.TurnDegrees,
            row.ViewId) = (Straightening.Write(view.Corners), scene.Reference.Id, scene.CardTurnDegrees, picture));
        Pt At(double x, double y) => Pt.Lerp(Pt.Lerp(outline[0], outline[1], x), Pt.Lerp(outline[3], outline[2], x), y);
        await cupboard.Add(
            new OwnForm(
                "new", "Cotton bag from a photograph", "photograph", new Dictionary<string, double>(StringComparer.Ordinal),
                [
                    new OwnFace(
                        OwnFace.FrontId, "front", outline, [new OwnZone("middle", "middle",
                            [At(0.1, 0.25), At(0.9, 0.25), At(0.9, 0.85), At(0.1, 0.85)])],
                        [new OwnObstacle("top-hem", "top hem", ObstacleKind.TopstitchedHem,
                            [At(0, 0), At(1, 0), At(1, 0.08), At(0, 0.08)])], 300,
                        Picture: new Picture(picture, 0, 0, view.WidthMm, view.HeightMm),
                            WithinMm: Math.Round(Photographed.WithinMm(view, outline), 2)),
                ],
                "canvas", "#c9b48a", "child", new FormUse(false, false, true, true)),
            "Traced from a photograph");

        static Pt[] Dot(Pt at, double radius) => Enumerable.Range(0, 16).Select(i => at
            + new Pt(radius * Math.Cos(Math.PI * i / 8), radius * Math.Sin(Math.PI * i / 8))).ToArray();
    }

    /// <summary>A made-up sketch, traced but for its feet and eye.</summary>
    private static async Task Sketch(CupboardStore cupboard, TracingStore tracings)
    {
        var picture = await cupboard.Keep(PictureFile.Take(MadeUpSketch.Render()).Picture!);
        var empty = new Tracing("Bird from a postcard", picture, MadeUpSketch.WidthMm, MadeUpSketch.HeightMm, []);
        var begun = (await tracings.Begin(empty)).Kept!;
        await tracings.Change(begun.Id, empty with
        {
            Lines = MadeUpSketch.Lines.Parts.Take(3).Select(p =>
            empty.Drawn(p.Role, p.Kind == FigureKind.Dot ? [p.Middle] : p.Kind == FigureKind.Shape ? [.. p.Line, p.Line[0]]
            : p.Line)).ToArray()
        }, begun.Revision, "Traced");
    }

    /// <summary>How long made-up work took: step, kind, minutes by the usual pace and really, a word to remember.</summary>
    private static readonly (string Step, string Kind, double Planned, double Real, string Note)[] Logged =
    [
        ("hoop", "hoop", 2, 4, "the inner ring slipped"), ("length-1", NeedleStep.Stitching, 9, 12, string.Empty),
        ("length-2", NeedleStep.Stitching, 8, 10, "by daylight"), ("ends", "remove", 4, 3, string.Empty), ("press", "press", 5, 6, string.Empty),
    ];

    /// <summary>Stores the pieces where none are stored; what is begun was read back first.</summary>
    public static async Task Fill(PieceStore store, SheetStore sheets, CupboardStore cupboard, TracingStore tracings, LogStore log,
        DateOnly today)
    {
        if (await store.All() is { Pieces.Count: > 0 } or { Bad.Count: > 0 })
        {
            return;
        }

        await Cupboard(cupboard);
        await Sketch(cupboard, tracings);
        foreach (var (job, what) in Pieces(today).Reverse())
        {
            var id = await store.Create(job with { Done = null }, "New piece");
            if (job.Done is { } done)
            {
                await sheets.Proof(id, job.Wordings[0].Text, "Me");
                await store.Change(id, 1, new Change("done", Changes.WriteDone(done), what), Workshop.Default);
                foreach (var (step, kind, planned, real, note) in Logged.Take(done.Runs > 2 ? Logged.Length : 2))
                {
                    await log.Add(new Core.Learning.Logged(id, step, kind, planned, real + (id % 3)), $"demo-{id}-{step}", note);
                }
            }
        }

        var bag = (await cupboard.All()).First(k => k.Form.First.Picture is not null).Form;
        await store.Create(new Job(bag.Id, [new TextElement("name", "Tilda")], today, "Tilda’s bag, photographed", today.AddDays(27),
            Own: bag), "New piece");
        foreach (var (job, what) in Drawn(today))
        {
            var id = await store.Create(job with { Done = null }, what);
            if (job.Done is { } done)
            {
                await store.Change(id, 1, new Change("done", Changes.WriteDone(done), what), Workshop.Default);
            }
        }
    }

    /// <summary>
    /// A dress that grows: flowers at its hem from last year, a name on the bodice and a leaf on the sleeve for this one.
    /// </summary>
    private static Job Growing(DateOnly today) => new("dress", [new TextElement("name", "Linnea") { Zone = "bodice" }, new MotifElement("hem", "flower-stem", Arrangement: "row", Count: 7, HeightMm: 62, Seed: 4) { Loosely = new Loosely(12, 25) },
            new MotifElement("leaf", "leaf-sprig", HeightMm: 30) { Zone = "sleeve" }], today,
        "Linnea’s dress, a year on", today.AddDays(50))
    {
        Standing = [["hem"]],
    };

    private static Job Piece(
        string form, DateOnly today, string words, string title, DateOnly due, string? colour = null, string? kind = null,
            params (DecisionKey Key, string Choice)[] overrides) => new(
        form, [new TextElement("name", words)], today, title, due, Fabric: colour is null && kind is null ? null
            : new FabricOverrides(kind, colour), Overrides: OverrideSet.Of(overrides));
}
