using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Items;

/// <summary>Something of a known size to lay beside an item.</summary>
public sealed record Reference(string Id, string Name, double WidthMm, double HeightMm, string Source);

/// <summary>How good a straightened picture is.</summary>
public enum PictureWorth
{
    Good,
    Fair,
    Poor,
}

/// <summary>
/// A picture straightened by what lies beside the item. <paramref name="ToMm"/> takes picture points (px, y down) to mm of the straightened
/// view, whose top left corner is the origin; <paramref name="PxPerMm"/> is how finely the picture shows its middle;
/// <paramref name="TiltRadians"/> how far from square on it was taken; <paramref name="Corners"/>
/// are those pointed at, going round from the top left.
/// </summary>
public sealed record Straightened(
    Reference Reference, IReadOnlyList<Pt> Corners, double PointedWithinPx, double TurnRadians, bool Upright, Homography ToMm,
        double WidthMm, double HeightMm, double PxPerMm, double TiltRadians, double CardPx);

/// <summary>
/// A photograph of an item with a bank card or a sheet of paper beside it: four corners straighten the picture, and how surely they were
/// pointed at tells how sure lengths are. Card and item must lie on one plane; that cannot be seen in the corners, so one length taken by
/// tape is asked for.
/// </summary>
public static class Photographed
{
    public static IReadOnlyList<Reference> References { get; } =
    [
        new("id-1", "a bank card", 85.60, 53.98, "ISO/IEC 7810 ID-1"),
        new("a4", "a sheet of A4", 297, 210, "ISO 216"),
    ];

    /// <summary>
    /// How far a pointed corner is from the true one, in the px of the picture as it was shown (from memory: a finger or a mouse, looking
    /// closely).
    /// </summary>
    public const double PointedShownPx = 1.0;

    /// <summary>
    /// Tilts up to here are well, beyond the other poor: thick things hide their far side and lengths grow unsure (from memory).
    /// </summary>
    public const double TiltFairDegrees = 25;

    public const double TiltPoorDegrees = 40;

    /// <summary>A card shorter than this in the picture is small, px (from memory).</summary>
    public const double SmallCardPx = 120;

    /// <summary>
    /// Expected errors of lengths that are good, and that are poor beyond, as shares (within 1 % is what a placement bears).
    /// </summary>
    public const double GoodShare = 0.01;

    public const double PoorShare = 0.02;

    /// <summary>
    /// Tape and picture further apart than this share do not agree (from memory: a tape on cloth is good to half a percent).
    /// </summary>
    public const double AgreeShare = 0.015;

    /// <summary>
    /// A corner that should be square is off by more than this where card and item do not lie alike, degrees (from memory).
    /// </summary>
    public const double SquareDegrees = 1.5;

    /// <summary>No item reaches further from its card, mm.</summary>
    private const double ReachMm = 2500;

    /// <summary>
    /// Straightens a picture of this many px by the four corners of a reference, pointed at in any order.
    /// <paramref name="pointedWithinPx"/> is how sure they are, px;
    /// <paramref name="upright"/> says that the reference stands on its short side, null to tell from the picture;
    /// <paramref name="turnDegrees"/> turns the view clockwise.
    /// </summary>
    public static (Straightened? View, FormFault? Fault) Straighten(Reference reference, IReadOnlyList<Pt> corners, int widthPx,
        int heightPx, double pointedWithinPx, bool? upright = null, double turnDegrees = 0)
    {
        if (corners.Count != 4)
        {
            return (null, new FormFault("corners",
                $"{Say.Count(corners.Count, "corner")} {(corners.Count == 1 ? "is" : "are")} pointed at.",
                "Point at all four corners of the card or sheet."));
        }

        if (corners.Any(c => !double.IsFinite(c.X) || !double.IsFinite(c.Y) || c.X < -widthPx || c.Y < -heightPx || c.X > 2 * widthPx
            || c.Y > 2 * heightPx))
        {
            return (null, new FormFault("corners", "A corner lies far outside the picture.",
                "Point at the four corners within the picture."));
        }

        var around = Around(corners);
        if (Bent(around))
        {
            return (null, new FormFault("corners", "The four corners do not go round a card: three lie in a line, or two are the same.",
                "Point at each corner once."));
        }

        var across = (around[0].To(around[1]) + around[3].To(around[2])) / 2;
        var down = (around[1].To(around[2]) + around[0].To(around[3])) / 2;
        var stands = upright ?? down > across;
        var (w, h) = stands ? (reference.HeightMm, reference.WidthMm) : (reference.WidthMm, reference.HeightMm);
        var turn = turnDegrees * Math.PI / 180;
        if (MapOf(around, w, h, turn) is not { } map)
        {
            return (null, new FormFault("corners", "The four corners do not go round a card: three lie in a line, or two are the same.",
                "Point at each corner once."));
        }

        var middle = new Pt(around.Average(p => p.X), around.Average(p => p.Y));
        var side = Math.Sign(map.Depth(middle));
        var card = map.Map(middle);
        var border = Border(widthPx, heightPx).Where(p => Math.Sign(map.Depth(p)) == side).Select(map.Map).Where(p =>
            p.To(card) <= ReachMm).Concat(around.Select(map.Map)).ToArray();
        var (left, top) = (border.Min(p => p.X), border.Min(p => p.Y));
        var (width, height) = (border.Max(p => p.X) - left, border.Max(p => p.Y) - top);
        var toView = map.Then(Homography.Turned(0, new Pt(-left, -top)));
        var scale = toView.ScaleAt(new Pt(widthPx / 2.0, heightPx / 2.0));
        var tilt = Math.Acos(Math.Clamp(toView.ScaleAt(middle) is var at ? at.Least / at.Most : 1, 0, 1));
        return (new Straightened(reference, around, pointedWithinPx, turn, stands, toView, width, height, 1 / scale.Most, tilt,
            Math.Max(across, down)), null);
    }

    /// <summary>
    /// How far off lengths within an outline may be, mm, two standard deviations: each corner moved by its doubt both ways, and what that
    /// does to the sides and diagonals of the outline's box. The outline is in mm of the view.
    /// </summary>
    public static double WithinMm(Straightened view, IReadOnlyList<Pt> outline) => Within(view, outline, absolute: true);

    /// <summary>The same as a share of each length, the worst of them.</summary>
    public static double WithinShare(Straightened view, IReadOnlyList<Pt> outline) => Within(view, outline, absolute: false);

    /// <summary>
    /// Where the item likely lies before it is traced: beside the card, on the side where there is more room, over three fifths of it (from
    /// memory: people leave a rim of table round what they photograph).
    /// </summary>
    public static IReadOnlyList<Pt> LikelyItem(Straightened view)
    {
        const double Share = 0.6;
        var card = view.Corners.Select(view.ToMm.Map).ToArray();
        var (left, right) = (card.Min(p => p.X), card.Max(p => p.X));
        var after = view.WidthMm - right;
        var (x0, x1) = left > after ? (left * (1 - Share), left * 0.97) : (right + (after * 0.03), right + (after * Share));
        var (y0, y1) = (view.HeightMm * (1 - Share) / 2, view.HeightMm * (1 + Share) / 2);
        return [new(x0, y0), new(x1, y0), new(x1, y1), new(x0, y1)];
    }

    /// <summary>How good the view is for an outline on it.</summary>
    public static PictureWorth WorthOf(Straightened view, IReadOnlyList<Pt> outline)
    {
        var (share, tilt) = (WithinShare(view, outline), Degrees(view.TiltRadians));
        return share > PoorShare || tilt > TiltPoorDegrees ? PictureWorth.Poor : share > GoodShare || tilt > TiltFairDegrees
            || view.CardPx < SmallCardPx ? PictureWorth.Fair : PictureWorth.Good;
    }

    /// <summary>
    /// What is to be said of the view: what to expect, and each thing that makes it worse with what would mend it. <paramref name="tape"/>
    /// is a length of the outline by her tape beside the same one in the picture, mm, where she took one.
    /// </summary>
    public static IReadOnlyList<Told> Warnings(Straightened view, IReadOnlyList<Pt> outline, (double TapeMm, double PictureMm)? tape = null)
    {
        var warnings = new List<Told>();
        var (within, share, tilt) = (WithinMm(view, outline), WithinShare(view, outline), Degrees(view.TiltRadians));
        if (tilt > TiltFairDegrees)
        {
            warnings.Add(
                $"The picture was taken {Say.Number(tilt, 0)}° from square "
                    + $"on{(tilt > TiltPoorDegrees ? ": too steep to trust" : string.Empty)}. Hold the camera straight above the item.");
        }

        if (view.CardPx < SmallCardPx)
        {
            warnings.Add(
                $"{Say.Upper(view.Reference.Name)} is only {Say.Number(view.CardPx, 0)} px long in the picture. Go nearer, or lay a sheet "
                    + $"of A4 beside the item instead.");
        }

        if (share > GoodShare)
        {
            warnings.Add(
                $"Lengths may be off by {Say.Length(Math.Round(within, 1))}, {Say.Number(share * 100)} %: more than 1 % is too much for "
                    + $"placing words. Point more closely, or use a larger sheet.");
        }

        if (SquareBy(outline) is { } off && off > SquareDegrees)
        {
            warnings.Add(
                $"Its corners come out {Say.Number(off)}° from square. If yours are square, card and item did not lie on one plane: lay "
                    + $"both flat on the table.");
        }

        if (tape is { } t && TapeWarning(t.TapeMm, t.PictureMm) is { } apart)
        {
            warnings.Add(apart);
        }

        return warnings;
    }

    /// <summary>What is said where her tape and the drawing do not agree on a length, mm; null where they do.</summary>
    public static Told? TapeWarning(double tapeMm, double pictureMm) => Math.Abs((pictureMm / tapeMm) - 1) <= AgreeShare
        ? null
        : (Told)($"Your tape says {Say.Length(tapeMm)}, the picture {Say.Length(Math.Round(pictureMm, 1))}: "
            + $"{Say.Number(Math.Abs((pictureMm / tapeMm) - 1) * 100)} % apart. The card seems to lie "
            + $"{(pictureMm < tapeMm ? "higher" : "lower")} than the item: lay it on the same table and take the picture again, or keep "
            + $"your tape's number, and the drawing is scaled to it.");

    /// <summary>An outline in mm of the straightened view, where the face was scaled to a tape since.</summary>
    public static IReadOnlyList<Pt> InView(OwnFace face, Straightened view) => face.Picture is { WidthMm: > 0 } p
        ? face.Scaled(view.WidthMm / p.WidthMm).OutlineMm : face.OutlineMm;

    /// <summary>
    /// A face to begin tracing with: its outline beside the card, to be pulled into place, and all of it a place for words.
    /// </summary>
    public static OwnFace BeginFace(Straightened view, string picture, string id = OwnFace.FrontId, string name = "front")
    {
        var outline = LikelyItem(view);
        return new OwnFace(
            id, name, outline, [new OwnZone(id == OwnFace.FrontId ? "zone-1" : $"{id}-all", id == OwnFace.FrontId ? "all of it"
                : $"{name}, all of it", outline, OwnFace.UsualEdgeMm)], [],
            Picture: new Picture(picture, 0, 0, view.WidthMm, view.HeightMm), WithinMm: Math.Round(WithinMm(view, outline), 2));
    }

    /// <summary>A form to begin tracing with, of that one face.</summary>
    public static OwnForm Begin(Straightened view, string picture) =>
        new("new", "From a photograph", "photograph", new Dictionary<string, double>(StringComparer.Ordinal), [BeginFace(view, picture)]);

    /// <summary>How far the corners of a four-sided outline are from square, degrees; null for any other.</summary>
    public static double? SquareBy(IReadOnlyList<Pt> outline) => outline.Count != 4 ? null : Enumerable.Range(0, 4).Max(i =>
        Math.Abs(90 - Degrees(Pt.TurnRadians(outline[(i + 1) % 4] - outline[i], outline[(i + 2) % 4] - outline[(i + 1) % 4]))));

    private static double Within(Straightened view, IReadOnlyList<Pt> outline, bool absolute)
    {
        var (x0, y0, x1, y1) = (outline.Min(p => p.X), outline.Min(p => p.Y), outline.Max(p => p.X), outline.Max(p => p.Y));
        var back = view.ToMm.Inverse();
        Pt[] box = [new(x0, y0), new(x1, y0), new(x1, y1), new(x0, y1)];
        var inPicture = box.Select(back.Map).ToArray();
        (int, int)[] lengths = [(0, 1), (1, 2), (2, 3), (3, 0), (0, 2), (1, 3)];
        var sums = new double[lengths.Length];
        var (w, h) = view.Upright ? (view.Reference.HeightMm, view.Reference.WidthMm) : (view.Reference.WidthMm, view.Reference.HeightMm);
        for (var corner = 0; corner < 8; corner++)
        {
            double[] LengthsMoved(double by)
            {
                var moved = view.Corners.Select((c, i) => i != corner / 2 ? c : corner % 2 == 0 ? c + new Pt(by, 0) : c
                    + new Pt(0, by)).ToArray();
                var map = MapOf(moved, w, h, view.TurnRadians);
                return lengths.Select(l => map is null ? double.PositiveInfinity
                    : map.Map(inPicture[l.Item1]).To(map.Map(inPicture[l.Item2]))).ToArray();
            }

            var (more, less) = (LengthsMoved(view.PointedWithinPx), LengthsMoved(-view.PointedWithinPx));
            for (var i = 0; i < lengths.Length; i++)
            {
                sums[i] += Math.Pow((more[i] - less[i]) / 2, 2);
            }
        }

        return Enumerable.Range(0, lengths.Length).Max(i =>
            2 * Math.Sqrt(sums[i]) / (absolute ? 1 : Math.Max(1, box[lengths[i].Item1].To(box[lengths[i].Item2]))));
    }

    private static Homography? MapOf(IReadOnlyList<Pt> around, double w, double h, double turn) =>
        Homography.Of([(around[0], default), (around[1], new Pt(w, 0)), (around[2], new Pt(w, h)), (around[3], new Pt(0, h))])?.Then(
            Homography.Turned(turn, default));

    /// <summary>The corners in the order they are passed going round clockwise as seen, from the top left.</summary>
    private static Pt[] Around(IReadOnlyList<Pt> corners)
    {
        var middle = new Pt(corners.Average(p => p.X), corners.Average(p => p.Y));
        var ordered = corners.OrderBy(p => Math.Atan2(p.Y - middle.Y, p.X - middle.X)).ToArray();
        var first = Enumerable.Range(0, 4).OrderBy(i => ordered[i].X + ordered[i].Y).ThenBy(i => i).First();
        return Enumerable.Range(0, 4).Select(i => ordered[(first + i) % 4]).ToArray();
    }

    /// <summary>
    /// Whether a corner turns the wrong way or hardly at all: its height over the line of its neighbours is under a hundredth of their
    /// distance.
    /// </summary>
    private static bool Bent(Pt[] around) => Enumerable.Range(0, 4).Any(i =>
    {
        var (a, b, c) = (around[i], around[(i + 1) % 4], around[(i + 2) % 4]);
        return Pt.Cross(b - a, c - b) <= 0.01 * Math.Max(1, Pt.Dot(c - a, c - a));
    });

    private static IEnumerable<Pt> Border(int w, int h)
    {
        const int Steps = 60;
        for (var i = 0; i <= Steps; i++)
        {
            var t = (double)i / Steps;
            yield return new Pt(w * t, 0);
            yield return new Pt(w * t, h);
            yield return new Pt(0, h * t);
            yield return new Pt(w, h * t);
        }
    }

    private static double Degrees(double radians) => radians * 180 / Math.PI;
}
