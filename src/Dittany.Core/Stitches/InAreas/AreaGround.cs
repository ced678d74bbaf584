using System.Runtime.CompilerServices;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>A straight way through an area, from edge to edge, mm; <paramref name="Row"/> counts the parallels it lies on.</summary>
public readonly record struct Rung(int Row, Pt From, Pt To)
{
    public double LengthMm => From.To(To);
}

/// <summary>
/// An area as a needle sees it: what it covers, the way from its foot to its tip, and the parallels that cross it. All in mm.
/// </summary>
public sealed class AreaGround
{
    /// <summary>Parallels nearer than this to each other are one, mm.</summary>
    private const double LeastPitchMm = 0.05;

    /// <summary>An area; <paramref name="upright"/>: its way is up and down whatever its shape, as a letter's.</summary>
    public AreaGround(Area area, bool upright = false)
    {
        _upright = upright;
        Covers = area.Covers();
        Foot = area.FootMm;
        var points = Covers.Rings.SelectMany(r => r).ToArray();
        Tip = area.TipMm ?? (points.Length == 0 ? Foot : points.MaxBy(p => Math.Round(p.To(Foot), 6)));
        LengthMm = Foot.To(Tip);
        WidthMm = LengthMm > 0 ? Covers.AreaMm2 / LengthMm : 0;
    }

    private readonly bool _upright;

    /// <summary>What is found out of an area is kept with it: each fill that is tried asks the same.</summary>
    private static readonly ConditionalWeakTable<Area, AreaGround>[] Known = [new(), new()];

    /// <summary>The ground of an area, found out once; it may be asked from several threads.</summary>
    public static AreaGround Of(Area area, bool upright = false) =>
        Known[upright ? 1 : 0].GetValue(area, a => new AreaGround(a, upright));

    /// <summary>The strokes it is made of, the longest first; reckoned when first asked for.</summary>
    internal IReadOnlyList<MedialBranch> Limbs => _limbs ??= MedialBranch.Of(this);

    private IReadOnlyList<MedialBranch>? _limbs;

    public Region Covers { get; }

    /// <summary>Where its edge was begun to be drawn: of a leaf or a petal its foot.</summary>
    public Pt Foot { get; }

    /// <summary>The place of its edge that is farthest from the foot.</summary>
    public Pt Tip { get; }

    public double LengthMm { get; }

    /// <summary>How wide it is on average across the way from foot to tip, mm.</summary>
    public double WidthMm { get; }

    /// <summary>From this on, length by average width, a shape has a way along it; what is squatter stands upright (from memory).</summary>
    private const double Long = 1.6;

    /// <summary>The direction from foot to tip, radians; upright where it is about as wide as long.</summary>
    public double Along => !_upright && LengthMm > Long * WidthMm ? Math.Atan2(Tip.Y - Foot.Y, Tip.X - Foot.X) : Math.PI / 2;

    /// <summary>
    /// The ways through the area in one direction, radians, at most <paramref name="pitchMm"/> apart and evened so that both outermost lie
    /// half a pitch inside. By rows, and within a row in the direction.
    /// </summary>
    public IReadOnlyList<Rung> Rungs(double radians, double pitchMm) => Rungs(Covers, radians, pitchMm);

    public static IReadOnlyList<Rung> Rungs(Region area, double radians, double pitchMm)
    {
        if (area.IsEmpty)
        {
            return [];
        }

        // In a frame in which the direction points along y.
        var along = new Pt(Math.Cos(radians), Math.Sin(radians));
        var across = new Pt(-along.Y, along.X);
        var rings = area.Rings.Select(r => r.Select(p => new Pt(Pt.Dot(p, across), Pt.Dot(p, along))).ToArray()).ToArray();
        var (least, most) = (rings.Min(r => r.Min(p => p.X)), rings.Max(r => r.Max(p => p.X)));
        var rows = Math.Max(1, (int)Math.Ceiling((most - least) / Math.Max(LeastPitchMm, pitchMm)));
        var found = new List<Rung>();
        for (var row = 0; row < rows; row++)
        {
            var x = least + ((most - least) * (row + 0.5) / rows);
            var at = rings.SelectMany(r => Crossings(r, x)).Order().ToArray();
            for (var i = 0; i + 1 < at.Length; i += 2)
            {
                found.Add(new Rung(row, (across * x) + (along * at[i]), (across * x) + (along * at[i + 1])));
            }
        }

        return found;
    }

    /// <summary>
    /// Neighbouring ways one after the other, so that a thread can go from each to the next: where the area parts, one arm is finished
    /// before the next is begun.
    /// </summary>
    public static IReadOnlyList<IReadOnlyList<Rung>> Chains(IReadOnlyList<Rung> rungs, double radians)
    {
        var along = new Pt(Math.Cos(radians), Math.Sin(radians));
        var byRow = rungs.GroupBy(r => r.Row).ToDictionary(g => g.Key, g => g.ToList());
        var chains = new List<IReadOnlyList<Rung>>();
        foreach (var first in byRow.Keys.Order().ToArray())
        {
            while (byRow[first].Count > 0)
            {
                var chain = new List<Rung> { byRow[first][0] };
                byRow[first].RemoveAt(0);
                while (byRow.TryGetValue(chain[^1].Row + 1, out var next) && next.FindIndex(r => Overlap(chain[^1], r)) is >= 0 and var at)
                {
                    chain.Add(next[at]);
                    next.RemoveAt(at);
                }

                chains.Add(chain);
            }
        }

        return chains;

        bool Overlap(Rung a, Rung b) => Math.Min(Pt.Dot(a.To, along), Pt.Dot(b.To, along))
            > Math.Max(Pt.Dot(a.From, along), Pt.Dot(b.From, along));
    }

    /// <summary>The way across the line from foot to tip at a share of it, as far as the area reaches to both sides of that line.</summary>
    public (Pt Left, Pt Middle, Pt Right)? Across(double share)
    {
        var middle = Pt.Lerp(Foot, Tip, share);
        var radians = Math.Atan2(Tip.Y - Foot.Y, Tip.X - Foot.X) + (Math.PI / 2);
        var aside = new Pt(Math.Cos(radians), Math.Sin(radians));
        var at = Covers.Rings.SelectMany(r => Crossings(r.Select(p => p - middle).Select(p =>
            new Pt(Pt.Dot(p, new Pt(-aside.Y, aside.X)), Pt.Dot(p, aside))).ToArray(), 0)).Order().ToArray();
        for (var i = 0; i + 1 < at.Length; i += 2)
        {
            if (at[i] <= 1e-6 && at[i + 1] >= -1e-6)
            {
                return (middle + (aside * at[i]), middle, middle + (aside * at[i + 1]));
            }
        }

        return null;
    }

    /// <summary>Where a ring crosses the line at this x.</summary>
    private static IEnumerable<double> Crossings(IReadOnlyList<Pt> ring, double x)
    {
        for (var i = 0; i < ring.Count; i++)
        {
            var (a, b) = (ring[i], ring[(i + 1) % ring.Count]);
            if ((a.X <= x) != (b.X <= x))
            {
                yield return a.Y + ((b.Y - a.Y) * (x - a.X) / (b.X - a.X));
            }
        }
    }
}
