using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// Stars of uneven spokes that all go down in one hole: one in a small round shape, many of different sizes packed in a larger one.
/// </summary>
public sealed class EyeletStitch : AreaStitch
{
    /// <summary>Radii of an eyelet, mm (from memory): smaller is a knot, larger lets spokes catch.</summary>
    private const double LeastMm = 1.5;

    private const double MostMm = 5;

    /// <summary>So many spokes share the hole at the least, and so far apart, in threads, they begin at the rim (from memory).</summary>
    private const int LeastSpokes = 7;

    private const double RimThreads = 1.7;

    /// <summary>Places looked at for the middle of an eyelet stand so far apart, mm.</summary>
    private const double LookMm = 0.5;

    /// <summary>Sizes packed one after the other, as shares of the largest (from memory).</summary>
    private static readonly double[] Sizes = [0.8, 0.55, 0.3, 0];

    /// <summary>Eyelets of one shape at the most: more are more than a hand would pack.</summary>
    private const int Most = 400;

    public override StitchInfo Info { get; } = new(
        "eyelet", "eyelets", StitchClass.Fill, 1, 0, _ => LeastMm, StitchInfo.Caps(24, 24, 26, 30, 38),
            StitchInfo.Caps(30, 30, 32, 38, 46), [(double.PositiveInfinity, 2)],
        "round flowers, airy grounds", "narrow shapes; loose cloth, in which the hole gapes", StitchInfo.Memory)
    { Trait = new(Feel.Open, false, true, 2) };

    public override string Because => "Eyelets are small flowers of spokes round one hole, packed in different sizes.";

    public override bool Directed => false;

    public override bool EdgeToo => true;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Packed(ground, by, 1).Count > 0 ? Judgement.Yes
        : new Judgement(false, $"There is no room for an eyelet of {Say.Length(2 * LeastMm)} across.", "Take satin stitch, or seeds.");

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var chance = new SeededRandom(by.Seed);
        foreach (var (middle, radius) in Packed(ground, by, Most))
        {
            var spokes = Math.Max(LeastSpokes, (int)(Math.Tau * radius / (RimThreads * by.Spec.BundleMm)));
            var from = chance.Between(0, Math.Tau);
            for (var i = 0; i < spokes; i++)
            {
                var turn = from + (Math.Tau * i / spokes);
                var rim = middle + (new Pt(Math.Cos(turn), Math.Sin(turn)) * (radius * chance.Between(0.78, 1)));
                sewing.BreakBefore(rim, 2 * MostMm);
                sewing.Straight(rim.OnGrid(), middle.OnGrid());
            }
        }
    }

    /// <summary>A circle is up to this much larger than the size it is one of.</summary>
    private const double Uneven = 1.25;

    /// <summary>Edges that a place is held against are so many to a step; steps that a place takes for each size (measured).</summary>
    private const int EdgesToAStep = 2;

    private const int PlaceSteps = 40;

    /// <summary>
    /// Circles in the area, the largest first, none over another or over the edge, no more than so many; in rows, so that the way from each
    /// to the next is short.
    /// </summary>
    private static IReadOnlyList<(Pt Middle, double RadiusMm)> Packed(AreaGround ground, SewingBy by, int upTo)
    {
        var most = Math.Min(MostMm, by.MostFreeMm);
        var (least, greatest) = ground.Covers.Box;
        var rings = ground.Covers.Rings.Select(r => (IReadOnlyList<Pt>)[.. r, r[0]]).ToArray();
        var (wide, high) = ((int)((greatest.X - least.X) / LookMm) + 1, (int)((greatest.Y - least.Y) / LookMm) + 1);
        by.Budget?.Spend((long)wide * high * rings.Sum(r => r.Count) / EdgesToAStep);
        var free = Enumerable.Range(0, wide * high).Select(i => least + new Pt(i % wide * LookMm, i / wide * LookMm))
            .Where(ground.Covers.Holds).Select(p => (At: p, Room: rings.Min(r => Polyline.ToLine(p, r)))).Where(p => p.Room >= LeastMm)
            .ToArray();

        // Large ones first, strewn; then smaller and smaller ones into the gaps. Sizes differ, as a hand's do.
        var chance = new SeededRandom(by.Seed + 1);
        var found = new List<(Pt Middle, double RadiusMm)>();
        var largest = Uneven * Math.Max(LeastMm, Sizes.Max() * most);
        var near = new Squares<(Pt Middle, double RadiusMm)>(2 * largest);
        foreach (var share in Sizes)
        {
            var wanted = Math.Max(LeastMm, share * most);
            by.Budget?.Spend(PlaceSteps * (long)free.Length);
            foreach (var (at, room) in free.OrderBy(_ => chance.Next()).ToArray())
            {
                if (found.Count >= upTo)
                {
                    break;
                }

                // What stands further off than the largest there may be and the largest there is takes nothing from it.
                var open = room;
                foreach (var (middle, radius) in near.Within(at, 2 * largest))
                {
                    open = Math.Min(open, middle.To(at) - radius);
                }

                if (open >= wanted)
                {
                    found.Add((at, Math.Min(open, wanted * chance.Between(1, Uneven))));
                    near.Add(at, found[^1]);
                }
            }
        }

        return found.OrderBy(f => Math.Floor((f.Middle.Y - least.Y) / most)).ThenBy(f =>
            Math.Floor((f.Middle.Y - least.Y) / most) % 2 == 0 ? f.Middle.X : -f.Middle.X).ToArray();
    }
}
