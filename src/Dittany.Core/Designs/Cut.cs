using Dittany.Core.Geometry;
using Dittany.Core.Measures;

namespace Dittany.Core.Designs;

/// <summary>Cuts lines where they go behind something; what is left keeps its curves.</summary>
internal static class Cut
{
    /// <summary>
    /// A curve is looked at in so many places for where it goes under or comes out: a covered bit shorter than a hundredth of the curve is
    /// not seen.
    /// </summary>
    private const int Looks = 100;

    /// <summary>Steps that one look at one place takes (measured).</summary>
    private const int LookSteps = 6;

    /// <summary>Halvings of the place where a line goes under: a millionth of the curve.</summary>
    private const int Halvings = 20;

    /// <summary>
    /// The pieces of a line that nothing hides, in its own order; the line itself where nothing hides any of it. A closed line that is cut
    /// begins where it comes out.
    /// </summary>
    public static IReadOnlyList<Stroke> Outside(Stroke line, IReadOnlyList<Region> over)
    {
        var pieces = new List<List<Curve>>();
        var (open, any) = (false, false);
        foreach (var curve in line.Curves)
        {
            // What lies far from a curve hides nothing of it: its corners hold it.
            Pt[] corners = [curve.P0, curve.P1, curve.P2, curve.P3];
            Budget.Current.Spend(LookSteps + over.Count);
            var near = over.Where(o => o.Near(corners, 0)).ToArray();
            Budget.Current.Spend((long)LookSteps * Looks * near.Length);
            var shown = near.Length == 0 ? [(0, 1)] : Shown(curve, p => near.Any(o => o.Holds(p)));
            foreach (var (from, to) in shown)
            {
                var piece = Between(curve, from, to);
                any |= from > 0 || to < 1;
                if (open && from == 0)
                {
                    pieces[^1].Add(piece);
                }
                else
                {
                    pieces.Add([piece]);
                }

                open = to == 1;
            }

            if (shown.Count == 0)
            {
                (open, any) = (false, true);
            }
        }

        if (!any)
        {
            return [line];
        }

        if (line.Closed && pieces.Count > 1 && pieces[0][0].P0.To(pieces[^1][^1].P3) < 1e-9)
        {
            // The beginning of a ring is no end of what is left of it.
            pieces[^1].AddRange(pieces[0]);
            pieces.RemoveAt(0);
        }

        return pieces.Select(p => new Stroke(p, false)).ToArray();
    }

    /// <summary>Spans of a curve, by its parameter, that are not hidden.</summary>
    private static List<(double From, double To)> Shown(Curve curve, Func<Pt, bool> hidden)
    {
        var spans = new List<(double, double)>();
        var (was, from) = (hidden(curve.At(0)), 0.0);
        for (var i = 1; i <= Looks; i++)
        {
            var now = hidden(curve.At((double)i / Looks));
            if (now == was)
            {
                continue;
            }

            var at = Border(curve, hidden, (double)(i - 1) / Looks, (double)i / Looks, was);
            if (now)
            {
                spans.Add((from, at));
            }

            (was, from) = (now, at);
        }

        if (!was)
        {
            spans.Add((from, 1));
        }

        return spans;
    }

    private static double Border(Curve curve, Func<Pt, bool> hidden, double low, double high, bool atLow)
    {
        for (var i = 0; i < Halvings; i++)
        {
            var middle = (low + high) / 2;
            (low, high) = hidden(curve.At(middle)) == atLow ? (middle, high) : (low, middle);
        }

        return (low + high) / 2;
    }

    private static Curve Between(Curve curve, double from, double to)
    {
        var after = from > 0 ? curve.After(from) : curve;
        return to < 1 ? after.Reversed().After(1 - ((to - from) / (1 - from))).Reversed() : after;
    }
}
