using Dittany.Core.Geometry;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A terry hand towel lying upright, its flat woven band near the bottom. Datum: the top left corner. Governing measures: its width, and
/// its length.
/// </summary>
public static class HandTowel
{
    /// <summary>Where the flat band lies above the lower edge (common practice).</summary>
    public const double BandFromMm = 80;

    public const double BandToMm = 115;

    /// <summary>The base of the words above the band (from memory).</summary>
    public const double AboveBandMm = 45;

    private const double HemMm = 12;

    public static Form Form { get; } = new(
        "hand-towel", "hand towel", Shelf.House, "terry", "#fbfaf6", "nobody",
            new FormUse(Handled: true, NextToSkin: false, SeenOutdoors: false, MadeUp: false),
        [new("50x100", $"{Measures.Say.SpanCm(50, " × ", 100)}", 500, 1000, Common),
            new("40x60", $"{Measures.Say.SpanCm(40, " × ", 60)}", 400, 600, Common),
            new("30x50", $"guest towel, {Measures.Say.SpanCm(30, " × ", 50)}", 300, 500, Common),
            new("70x140", $"bath towel, {Measures.Say.SpanCm(70, " × ", 140)}", 700, 1400, Common)],
        "50x100",
        new Measure("width", "Width", "Across the band.", 200, 1100), new Measure("length", "Length", "From hem to hem.", 300, 2200),
            size => [Build(size)])
    {
        AlsoCalled = ["bath towel", "guest towel", "terry towel", "towelling towel"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        const string Edge = "Towels hang folded in three: what goes round the fold is not read.";
        return new Drawn(
            new Face("front", "front", "top left corner"),
            Rectangle(0, 0, w, h),
            [
                new Zone(
                    "above-band", "above the band", Rectangle(w * 0.16, h - BandToMm - 190, w * 0.68, 190), 0, Edge,
                    new UsualPlace("base-above-band",
                        $"The base of the words {Measures.Say.Length(45)} above the band, on the centre fold",
                        new Pt(w / 2, h - BandToMm - AboveBandMm), Stands.OnBaseline,
                        [$"{Measures.Say.Length(45)} above the band the words stand clear in the pile."], Memory, "band-top"),
                    Caps(20, 30, 0.65, w * 0.5, "Half the towel's width is what is seen when it hangs.")),
                new Zone(
                    "band", "on the flat band", Rectangle(w * 0.16, h - BandToMm, w * 0.68, BandToMm - BandFromMm), 4,
                        $"{Measures.Say.Length(4)} are kept free to the pile on both sides.",
                    Middle("band-middle", "In the middle of the band", new Pt(w / 2, h - ((BandFromMm + BandToMm) / 2)),
                        "On the flat band stitches do not sink in."),
                        Caps(12, 18, 0.6, w * 0.5, "Half the towel's width is what is seen when it hangs."), Ignores: ["band"]),
                new Zone(
                    "corner", "lower right corner", Rectangle(w - 150, h - BandFromMm + 2, 132, BandFromMm - HemMm - 12), 0,
                        "Below the band, above the hem.",
                    Middle("corner-usual", $"Centred {Measures.Say.Length(80)} from the side, between band and hem",
                        new Pt(w - 80, h - ((BandFromMm + HemMm) / 2)), "A small mark in the corner."),
                        Caps(11, 15, 0.85, 100, "It stays in its corner.")),
            ],
            [
                .. Hems.Around(w, h, HemMm, 6),
                new Obstacle("band", "flat woven band", ObstacleKind.Print, Rectangle(6, h - BandToMm, w - 12, BandToMm - BandFromMm)),
            ],
            [
                .. Flat(w, h, "towel", HemMm, 6),
                new Landmark("band-top", "the upper edge of the band", new(0, h - BandToMm), new(w, h - BandToMm), Found.Edge),
                    new Landmark("band-foot", "the lower edge of the band", new(0, h - BandFromMm), new(w, h - BandFromMm), Found.Edge),
            ],
            [Strip(Bend(new Pt((w / 2) - 10, 4), new Pt((w / 2) - 10, -30), new Pt((w / 2) + 10, -30), new Pt((w / 2) + 10, 4)), 5)]);
    }
}
