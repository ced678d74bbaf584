using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Planning;

/// <summary>
/// Which parts of a drawing touch each other or lie on each other, by their roles, and whether their colours can be told apart.
/// </summary>
public sealed class Neighbours
{
    /// <summary>Parts nearer to each other than this share of the drawing touch (from memory).</summary>
    private const double TouchShare = 0.012;

    /// <summary>Thread beside thread is told apart from this difference on, CIEDE2000 (from memory).</summary>
    public const double ApartFrom = 10;

    private readonly HashSet<(string, string)> _pairs = [];

    /// <summary>The neighbours in one copy of a drawing.</summary>
    public static Neighbours Of(IReadOnlyList<FigurePart> parts)
    {
        var one = parts.Where(p => p.Copy <= 0).Select(p => (p.Role, p.Line, Box: BoxOf(p.Line),
            Area: p.Covers())).ToArray();
        var found = new Neighbours();
        if (one.Length == 0)
        {
            return found;
        }

        var all = BoxOf(one.SelectMany(p => p.Line).ToArray());
        var near = TouchShare * all.Least.To(all.Most);

        // Most pairs lie apart or are known already: that is looked up by number, and only then by name and line.
        var roles = one.Select(p => p.Role).Distinct(StringComparer.Ordinal).Select((role, i) => (role, i)).ToDictionary(r => r.role, r =>
            r.i, StringComparer.Ordinal);
        var (of, known) = (Array.ConvertAll(one, p => roles[p.Role]), new bool[roles.Count, roles.Count]);
        for (var i = 0; i < one.Length; i++)
        {
            Budget.Current.Spend(PairSteps * (one.Length - i - 1));
            for (var k = i + 1; k < one.Length; k++)
            {
                if (of[i] == of[k] || known[of[i], of[k]] || !Overlap(one[i].Box, one[k].Box, near))
                {
                    continue;
                }

                if (Meet(one[i].Line, one[i].Area, one[k].Line, one[k].Area, near))
                {
                    (known[of[i], of[k]], known[of[k], of[i]]) = (true, true);
                    found._pairs.Add((one[i].Role, one[k].Role));
                    found._pairs.Add((one[k].Role, one[i].Role));
                }
            }
        }

        return found;
    }

    /// <summary>Whether two parts come so near each other, or lie on each other.</summary>
    private static bool Meet(IReadOnlyList<Pt> a, Region areaA, IReadOnlyList<Pt> b, Region areaB, double near) => Looked(a, b)
        && (a.Any(areaB.Holds) || b.Any(areaA.Holds) || a.Any(p => Polyline.ToLine(p, b) <= near));

    private const int PairSteps = 1;

    /// <summary>Spends what it takes to hold two lines against each other, each place against each edge.</summary>
    private static bool Looked(IReadOnlyList<Pt> a, IReadOnlyList<Pt> b)
    {
        Budget.Current.Spend((2L * (a.Count + b.Count)) + ((long)a.Count * b.Count / 2));
        return true;
    }

    public bool Touch(string one, string other) => _pairs.Contains((one, other));

    /// <summary>Roles that touch this one.</summary>
    public IEnumerable<string> Beside(string role) => _pairs.Where(p => p.Item1 == role).Select(p => p.Item2);

    /// <summary>Whether two threads beside each other are told apart.</summary>
    public static bool Apart(string one, string other) =>
        ColourDifference.Ciede2000(Colour.Parse(one).ToLab(), Colour.Parse(other).ToLab()) >= ApartFrom;

    /// <summary>To eyes that lack one kind of cones, threads below this difference look alike, CIEDE2000 (from memory).</summary>
    public const double AlikeBelow = 6;

    /// <summary>
    /// Whether two threads beside each other are told apart by most eyes, and look alike to those that do not tell red from green.
    /// </summary>
    public static bool ApartToMost(string one, string other) => Apart(one, other)
        && ColourVision.LeastApart(Colour.Parse(one), Colour.Parse(other)) < AlikeBelow;

    private static (Pt Least, Pt Most) BoxOf(IReadOnlyList<Pt> line) => (new Pt(line.Min(p => p.X), line.Min(p => p.Y)),
        new Pt(line.Max(p => p.X), line.Max(p => p.Y)));

    private static bool Overlap((Pt Least, Pt Most) a, (Pt Least, Pt Most) b, double near) => a.Least.X - near <= b.Most.X
        && b.Least.X - near <= a.Most.X && a.Least.Y - near <= b.Most.Y && b.Least.Y - near <= a.Most.Y;
}
