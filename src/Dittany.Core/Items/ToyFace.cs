using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using static Dittany.Core.Items.Parts;
using static Dittany.Core.Items.Shapes;

namespace Dittany.Core.Items;

/// <summary>
/// A soft toy's or doll's face, flat before it is sewn or stuffed already. Datum: the middle of the face. Places go by features: the eyes
/// lie on the line half-way down, the nose half-way between eyes and chin, the mouth a third of the way below the nose (common practice).
/// Governing measures: width and height of the face.
/// </summary>
public static class ToyFace
{
    public static Form Form { get; } = new(
        "toy-face", "toy face", Shelf.Child, "quilting-cotton", "#e6c9c4", "baby",
            new FormUse(Handled: true, NextToSkin: true, SeenOutdoors: false, MadeUp: false),
        [
            new("12-flat", $"{Say.Cm(12)}, flat", 120, 120, Common),
                new("9-flat", $"{Say.Cm(9)}, flat", 90, 90, Common),
                new("16-flat", $"{Say.Cm(16)}, flat", 160, 150, Common),
            new("12-stuffed", $"{Say.Cm(12)}, stuffed", 120, 120, Common), new("16-stuffed", $"{Say.Cm(16)}, stuffed", 160, 150, Common),
        ],
        "12-flat",
        new Measure("width", "Width of the face", "From side to side at the eyes.", 40, 400),
            new Measure("height", "Height of the face", "From crown to chin.", 40, 400), size => [Build(size)])
    {
        ByPattern = true,
        AlsoCalled = ["doll face", "doll's face", "soft toy", "toy", "teddy"],
    };

    private static Drawn Build(FormSize size)
    {
        var (w, h) = (size.WidthMm, size.HeightMm);
        var round = Enumerable.Range(0, 48).Select(i => new Pt(w / 2 * Math.Sin(Math.PI * i / 24),
            -h / 2 * Math.Cos(Math.PI * i / 24))).ToArray();
        var stuffed = size.Id.EndsWith("stuffed", StringComparison.Ordinal);
        var (nose, mouth) = (0.25 * h, (0.25 + (0.25 / 3)) * h);
        var ear = new Pt(0.34 * w, -0.42 * h);
        Told Edge = $"A seam runs round the face; stitches stay {Say.Length(6)} clear of it.";
        Pt Eyes(double x) => new(x, 0);
        Zone Cheek(string id, string name, int side) => new(
            id, name, Circle(new Pt(side * 0.27 * w, 0.17 * h), 0.15 * w), 0, Edge,
                Middle($"{id}-usual", "In the middle of the cheek, below the eye", new Pt(side * 0.27 * w, 0.17 * h),
                "Below the eye, level with the nose."), Caps(4, 6, 0.8, 0.26 * w, "A cheek is small."));
        Zone Eye(string id, string name, int side) => new(
            id, name, Circle(Eyes(side * 0.18 * w), 0.1 * w), 0, Edge,
                Middle($"{id}-usual", "Where the eye lies, on the eyes' line", Eyes(side * 0.18 * w),
                "The eyes lie on the line half-way down; a motif or a knot stands for one. No buttons or beads under three years."),
                Caps(4, 6, 0.8, 0.18 * w, "An eye is small."));
        return new Drawn(
            new Face("face", "face", "the middle of the face"),
            round,
            [
                new Zone("forehead", "forehead", Rectangle(-0.3 * w, -0.4 * h, 0.6 * w, 0.3 * h), 0, Edge,
                    Middle("forehead-usual", "In the middle of the forehead", new Pt(0, -0.24 * h),
                    "Half-way between the eyes' line and the crown."), Caps(5, 10, 0.8, 0.5 * w, "The face bends away at its sides.")),
                new Zone("mouth", "below the nose", Rectangle(-0.27 * w, nose - (0.05 * h), 0.54 * w, 0.19 * h), 0, Edge,
                    Middle("mouth-usual", "Where the mouth lies, a third of the way from nose to chin", new Pt(0, mouth - 2),
                    "The mouth lies a third of the way from the nose to the chin."), Caps(4, 7, 0.8, 0.4 * w, "The chin bends away.")),
                Cheek("cheek", "left cheek", 1),
                Cheek("cheek-right", "right cheek", -1),
                Eye("eye", "left eye", 1),
                Eye("eye-right", "right eye", -1),
                new Zone("nose", "nose", Rectangle(-0.14 * w, nose - (0.12 * h), 0.28 * w, 0.15 * h), 0, Edge,
                    Middle("nose-usual", "Where the nose lies, half-way from the eyes to the chin", new Pt(0, nose - (0.04 * h)),
                    "Half-way between the eyes' line and the chin; a motif stands for it."), Caps(4, 6, 0.8, 0.24 * w, "A nose is small.")),
            ],
            [Seam("face-seam-right", "seam round the face", [.. round.Take(25).Select(p => p * 0.98)]),
                Seam("face-seam-left", "seam round the face", [.. round.Skip(24).Append(round[0]).Select(p => p * 0.98)])],
            [
                MiddleFold("face-fold", "the middle fold of the face", -h / 2, h / 2, stuffed
                    ? "Lay a thread over the face from the middle of the crown to the middle of the chin: that is its middle."
                    : "Fold the face in half, ear on ear, and crease lightly: that is its middle."),
                new Landmark("eye-line", "the eyes' line", new(-w / 2, 0), new(w / 2, 0), Found.Fold,
                    new Folding(stuffed ? "Lay a thread round the head half-way between crown and chin: that is the eyes' line."
                    : "Fold the face in half, crown on chin, and crease lightly: that is the eyes' line.", string.Empty, string.Empty)),
                Level("chin", "the chin", 0.2 * w, h / 2, Found.Edge), Level("crown", "the crown", 0.2 * w, -h / 2, Found.Edge),
            ],
            [Circle(ear, 0.17 * w), Circle(new Pt(-ear.X, ear.Y), 0.17 * w)],
            HoopLimit: stuffed ? new HoopLimit(0, "A stuffed thing is never put in a ring.") : null,
            Over: [Circle(Eyes(0.18 * w), 0.035 * w), Circle(Eyes(-0.18 * w), 0.035 * w),
                [new(-0.05 * w, nose - (0.05 * h)), new(0.05 * w, nose - (0.05 * h)), new(0, nose)]])
        {
            Stuffed = stuffed,
        };
    }
}
