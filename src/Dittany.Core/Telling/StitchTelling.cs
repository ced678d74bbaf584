using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Route;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Telling;

/// <summary>
/// What one stitch says of itself on pointing at it: its place in the work, its length, its thread, and why it is as long as it is.
/// </summary>
public static class StitchTelling
{
    /// <summary>
    /// From this share of the wish on a stitch is told as full: as far below it as a stitch may be above (StitchSpec.Slack).
    /// </summary>
    private const double Full = 0.95;

    /// <summary>Bends wider than this many stitches are told as straight (from memory).</summary>
    private const double StraightFrom = 12;

    /// <summary>All stitches in working order, each with the minutes of stitching up to the end of its length.</summary>
    public static IReadOnlyList<Told> All(Plan plan)
    {
        var ends = RunTelling.Of(plan).ToDictionary(r => r.Run);
        return Enumerable.Range(0, plan.Route.Count).Select(row =>
            (Told)$"{Tell(plan, row)} {Minutes(ends[plan.Route[row].Run], row)}").ToArray();

        static string Minutes(RunTold run, int row)
        {
            var share = (double)(row - run.FirstRow + 1) / run.Stitches;
            return $"{Say.Upper(Say.Minutes(run.MinutesSoFar - (run.Minutes * (1 - share))))} at the needle by then.";
        }
    }

    /// <summary>Tells the stitch in a row of the route.</summary>
    public static Told Tell(Plan plan, int row)
    {
        var at = plan.Route[row];
        var part = plan.Elements.First(e => e.Id == at.Element).Parts[at.Part];
        var stitch = part.Stitches[at.Stitch];
        var hoop = plan.Hooping.Hoops.Count > 1 ? $", hooping {at.Hoop}" : string.Empty;
        Told leap = at.FloatKind switch
        {
            FloatKind.NewThread => (Told)" A new thread begins here.",
            FloatKind.Straight when at.FloatMm > 0 => (Told)$" Before it the thread jumps {Say.Length(Math.Round(at.FloatMm, 1))} behind.",
            FloatKind.Carried =>
                (Told)$" Before it the thread is carried {Say.Length(Math.Round(at.BackMm, 1))} behind, under stitches already there.",
            _ => (Told)string.Empty,
        };
        return $"Stitch {row + 1} of {plan.Route.Count}, in the {(part.Letter == part.Role ? part.Role.Replace('-', ' ') : part.Letter)}: {Length(part, stitch)}, thread {at.Run}{hoop}. "
            + $"{Why(part, stitch)}{leap}";
    }

    private static Told Length(Part part, Stitch stitch) => stitch.Shape switch
    {
        StitchShape.Knot => (Told)"a knot",
        StitchShape.Whip when stitch.LengthMm >= 0.05 => (Told)$"a wrap of {Say.Length(Math.Round(stitch.LengthMm, 1))}",
        StitchShape.Whip when stitch.LengthMm < 0.05 => (Told)"two wraps",
        StitchShape.Tie when Book.Find(part.Stitch)?.Says(stitch) is not null => (Told)$"a bar of {Say.Length(Math.Round(stitch.LengthMm, 1))}",
        StitchShape.Tie => (Told)"a small stitch that ties the last link down",
        StitchShape.Loop => (Told)$"a loop of {Say.Length(Math.Round(stitch.LengthMm, 1))}",
        _ => (Told)Say.Length(Math.Round(stitch.LengthMm, 1)),
    };

    private static Told Why(Part part, Stitch stitch)
    {
        if (part.Filling is not null && Book.Fill(part.Stitch) is { } fill)
        {
            return $"It helps to fill the {Designs.Roles.Called(part.Role)} with {fill.Info.Name}.";
        }

        var kind = Book.Find(part.Stitch).Sure();
        if (kind.Says(stitch) is { } own)
        {
            return own;
        }

        if (stitch.Shape == StitchShape.Knot)
        {
            return "It makes the dot.";
        }

        if (stitch.Shape is StitchShape.Whip or StitchShape.Tie)
        {
            return stitch.Shape == StitchShape.Whip ? "It goes under the stitch below and never through the cloth." : "It ends the chain.";
        }

        var radius = Radius(part.LineMm, stitch);
        if (part.Role == "dot")
        {
            return "It makes the dot.";
        }

        var straight = radius > StraightFrom * Math.Max(stitch.LengthMm, 1);
        if (kind.KeepsOneLength)
        {
            return $"About {Say.Length(Math.Round(part.WishedMm, 1))}, like all the others: what the tightest bend allows.";
        }

        if (stitch.LengthMm >= part.WishedMm * Full)
        {
            return straight ? (Told)$"Full length: {kind.Name} is usually {Say.Length(Math.Round(part.WishedMm, 2))} here."
                : (Told)"Full length: the bend is wide enough for it.";
        }

        if (part.Stitches.Count(s => s.Shape == stitch.Shape) <= kind.Span)
        {
            return "The stroke is no longer, so it is one short stitch.";
        }

        return straight
            ? (Told)($"Shorter than {Say.Length(Math.Round(part.WishedMm, 2))}, so that the stitches of this stretch come out alike and "
                + $"none is a stub at the end.")
            : (Told)($"Shorter than {Say.Length(Math.Round(part.WishedMm, 2))}, for the bend here has a radius of about "
                + $"{Say.Length(Math.Round(radius, 1))}: so short it looks round.");
    }

    /// <summary>Radius of the line under a stitch, from its chord and how far the line stands off it: r = c² / 8s + s / 2.</summary>
    private static double Radius(IReadOnlyList<Pt> line, Stitch stitch)
    {
        var chord = stitch.LengthMm;
        var (a, b) = (stitch.FromMm, stitch.ToMm);
        var way = b - a;
        var off = 0.0;
        foreach (var p in line)
        {
            var along = Pt.Dot(p - a, way) / Math.Max(Pt.Dot(way, way), 1e-9);
            if (along is > 0 and < 1 && Polyline.ToSegment(p, a, b) is var away && away < chord)
            {
                off = Math.Max(off, away);
            }
        }

        return off < 1e-3 ? double.PositiveInfinity : (chord * chord / (8 * off)) + (off / 2);
    }
}
