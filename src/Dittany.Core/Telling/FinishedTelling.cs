using Dittany.Core.Measures;
using Dittany.Core.Planning;

namespace Dittany.Core.Telling;

/// <summary>
/// What is seen of finished work in a straightened picture, mm: how wide and high it is; the lengths of its stitches where they stand
/// apart, else none; how far the line its letters stand on turns from level, degrees, and how far single letters leave it, null where too
/// few stand on one.
/// </summary>
public sealed record FinishedWork(double WideMm, double HighMm, IReadOnlyList<double> LengthsMm, double? TiltDegrees, double? WanderMm);

/// <summary>A report on finished work, kindly: what came out as planned, and the one thing most worth practising.</summary>
public static class FinishedTelling
{
    /// <summary>So few stitches tell nothing of evenness (from memory).</summary>
    public const int LeastStitches = 6;

    /// <summary>Within this share of the plan a size or a length is as planned: a hand sets a needle no truer (from memory).</summary>
    private const double AsPlanned = 0.06;

    /// <summary>
    /// A spread of stitch lengths up to which a line looks even, and from which it looks unsteady, as shares (from memory).
    /// </summary>
    private const double Even = 0.15;

    private const double Unsteady = 0.3;

    /// <summary>A tilt or a wander under these is seen by nobody, degrees and shares of the height (from memory).</summary>
    private const double LevelDegrees = 1;

    private const double StraightShare = 0.06;

    /// <summary>The report, sentence by sentence; <paramref name="workshop"/> turns lengths into her units at the edge.</summary>
    public static IReadOnlyList<Told> Tell(FinishedWork seen, PlannedElement planned)
    {
        var told = new List<Told>();
        var (wide, wished) = (seen.WideMm, planned.BoxMm.Width);
        told.Add(Math.Abs(wide - wished) <= AsPlanned * wished
            ? (Told)$"It is {Say.Length(Math.Round(wide))} wide, as planned."
            : $"It is {Say.Length(Math.Round(wide))} wide, and {Say.Length(Math.Round(wished))} were planned: the cloth {(wide < wished ? "drew in" : "gave")}, or it was traced {(wide < wished ? "smaller" : "larger")}.");
        var practise = (Told?)null;
        if (seen.LengthsMm.Count < LeastStitches)
        {
            told.Add("Its stitches lie end to end, so one cannot be told from the next in a picture: nothing is said of their lengths.");
        }
        else
        {
            var lengths = seen.LengthsMm.Order().ToArray();
            var (middle, low, high) = (lengths[lengths.Length / 2], lengths[lengths.Length / 10], lengths[lengths.Length * 9 / 10]);
            var aim = Wished(planned);
            told.Add(aim is not { } length ? (Told)$"Its stitches are {Say.Length(Math.Round(middle, 1))} long in the middle."
                : Math.Abs(middle - length) <= 2 * AsPlanned * length ? (Told)$"Its stitches are {Say.Length(Math.Round(middle, 1))} long in the middle, as planned."
                : $"Its stitches are {Say.Length(Math.Round(middle, 1))} long in the middle, and {Say.Length(Math.Round(length, 1))} were planned.");
            var spread = (high - low) / 2 / middle;
            told.Add(spread <= Even ? (Told)$"They are even: four in five lie between {Say.Length(Math.Round(low, 1))} and {Say.Length(Math.Round(high, 1))}."
                : (Told)$"Four in five lie between {Say.Length(Math.Round(low, 1))} and {Say.Length(Math.Round(high, 1))}: {(spread <= Unsteady ? "a lively hand" : "unsteady")}.");
            practise = spread > Unsteady ? "Worth practising: the same length every time. Set the needle down beside the last stitch and look at the two before you pull." : practise;
        }

        if (planned.IsMotif)
        {
            // A drawing stands on no line.
            told.Add(practise ?? "Nothing in it asks to be done otherwise.");
            return told;
        }

        if (seen is { TiltDegrees: { } tilt, WanderMm: { } wander })
        {
            told.Add(Math.Abs(tilt) < LevelDegrees ? (Told)$"The line it stands on is level." : $"The line it stands on {(tilt < 0 ? "rises" : "falls")} by {Say.Number(Math.Abs(tilt), 1)}° to the right, unless the picture was turned.");
            var share = wander / Math.Max(1, seen.HighMm);
            told.Add(share <= StraightShare ? (Told)"The letters stand on it as on a ruled line." : $"Single letters leave it by about {Say.Length(Math.Round(wander, 1))}.");
            practise ??= share > 2 * StraightShare ? (Told)"Worth practising: draw the line the letters stand on with the mark, and look along it before each new letter." : null;
        }
        else
        {
            told.Add("Too little stands on one line to say whether it is straight.");
        }

        told.Add(practise ?? "Nothing in it asks to be done otherwise.");
        return told;
    }

    /// <summary>
    /// How long its stitches were planned and how long they came out, in the middle, mm; null where too few stand apart to tell.
    /// </summary>
    public static (double PlannedMm, double RealMm)? Lengths(FinishedWork seen, PlannedElement planned) =>
        seen.LengthsMm.Count >= LeastStitches && Wished(planned) is { } wished
            ? (wished, seen.LengthsMm.Order().ElementAt(seen.LengthsMm.Count / 2)) : null;

    /// <summary>The stitch length most of it was planned in; null where that is none.</summary>
    private static double? Wished(PlannedElement planned)
    {
        var lengths = planned.Parts.SelectMany(p => p.Stitches).Where(s => s.LengthMm > 0.3).Select(s => s.LengthMm).Order().ToArray();
        return lengths.Length == 0 ? null : lengths[lengths.Length / 2];
    }
}
