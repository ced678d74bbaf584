using Dittany.Core.Geometry;
using Dittany.Core.Measures;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Stitches.InAreas;

/// <summary>
/// Stitches in columns that lie side by side along one direction, each cut into stitches. The needle works up one column and down the next,
/// so that little lies behind; where stitches bite into each other it goes row by row.
/// </summary>
public abstract class ColumnStitch : AreaStitch
{
    /// <summary>Shorter than this a rest joins the stitch before it, mm (from memory).</summary>
    protected const double RestMm = 1;

    public override FillColours Colours => FillColours.FootToTip;

    /// <summary>How far apart columns lie, in threads.</summary>
    protected virtual double Apart => 1;

    protected override Judgement Fills(AreaGround ground, SewingBy by) => Judgement.Yes;

    /// <summary>
    /// The stitches of one column as places along it, mm from its beginning: from and to of each, in order. <paramref name="odd"/> tells
    /// every second column.
    /// </summary>
    protected abstract IEnumerable<(double From, double To)> Divided(double lengthMm, bool odd, SewingBy by, SeededRandom chance);

    /// <summary>
    /// Whether a stitch begins in the one before it and parts its strands: then it is worked row by row, as each row must lie before the
    /// next can bite into it.
    /// </summary>
    protected virtual bool Bites => false;

    public override bool FollowsField => true;

    protected override void Sew(Sewn.Sewing sewing, AreaGround ground, SewingBy by)
    {
        var chance = new SeededRandom(by.Seed);
        if (Ways(ground, by, Apart * PitchMm(by)) is { } ways)
        {
            Work(sewing, ways.Select((way, i) => Divided(Polyline.Length(way), i % 2 == 1, by, chance).Select(s =>
                (At: Polyline.At(way, s.From), To: Polyline.At(way, s.To))).ToArray()).ToArray(), by);
            return;
        }

        var radians = Direction(ground, by);
        foreach (var chain in AreaGround.Chains(ground.Rungs(radians, Apart * PitchMm(by)), radians))
        {
            sewing.Break();
            var columns = chain.Where(r => r.LengthMm > RestMm / 2).Select(rung =>
            {
                var way = (rung.To - rung.From) * (1 / rung.LengthMm);
                return Divided(rung.LengthMm, rung.Row % 2 == 1, by, chance).Select(s =>
                    (At: rung.From + (way * s.From), To: rung.From + (way * s.To))).ToArray();
            }).ToArray();
            Work(sewing, columns, by);
        }
    }

    private void Work(Sewn.Sewing sewing, IReadOnlyList<(Pt At, Pt To)[]> columns, SewingBy by)
    {
        if (Bites)
        {
            ByRows(sewing, columns, by);
        }
        else
        {
            ByColumns(sewing, columns, by);
        }
    }

    /// <summary>Up one column and down the next.</summary>
    private static void ByColumns(Sewn.Sewing sewing, IReadOnlyList<(Pt At, Pt To)[]> columns, SewingBy by)
    {
        var up = true;
        foreach (var column in columns)
        {
            foreach (var (at, to) in up ? column : column.Reverse())
            {
                var (from, down) = up ? (at, to) : (to, at);
                sewing.BreakBefore(from, Math.Max(MostHopMm, by.MostFreeMm));
                sewing.Straight(from.OnGrid(), down.OnGrid());
            }

            up = !up;
        }
    }

    /// <summary>
    /// Row after row over all columns, to and fro: each stitch comes up in the one of the row before it, and beside its neighbour.
    /// </summary>
    private static void ByRows(Sewn.Sewing sewing, IReadOnlyList<(Pt At, Pt To)[]> columns, SewingBy by)
    {
        var rows = columns.Select(c => c.Length).DefaultIfEmpty(0).Max();
        for (var row = 0; row < rows; row++)
        {
            foreach (var column in (row % 2 == 0 ? columns : columns.Reverse()).Where(c => c.Length > row))
            {
                var (at, to) = column[row];
                sewing.BreakBefore(at, Math.Max(MostHopMm, 1.25 * by.MostFreeMm));
                sewing.Straight(at.OnGrid(), to.OnGrid(), through: row > 0);
            }
        }
    }

    /// <summary>A length in equal stitches of at most <paramref name="mostMm"/>, the first one <paramref name="firstMm"/> long.</summary>
    protected static IEnumerable<(double From, double To)> Equal(double lengthMm, double firstMm, double mostMm)
    {
        var at = 0.0;
        var next = Math.Min(firstMm, lengthMm);
        while (at < lengthMm - 1e-9)
        {
            if (lengthMm - next < RestMm)
            {
                next = lengthMm - at <= mostMm ? lengthMm : (at + lengthMm) / 2;
            }

            yield return (at, next);
            (at, next) = (next, Math.Min(lengthMm, next + mostMm));
        }
    }
}

/// <summary>Equal stitches end to end, every second column moved by half a stitch, as bricks lie.</summary>
public sealed class BrickStitch : ColumnStitch
{
    /// <summary>The length of a brick, mm, where wear allows it (from memory).</summary>
    private const double BrickMm = 4;

    public override StitchInfo Info { get; } = new(
        "brick", "brick stitch", StitchClass.Fill, 1, BrickMm, _ => RestMm, StitchInfo.Caps(20, 20, 22, 24, 30),
            StitchInfo.Caps(25, 25, 28, 30, 36), [(double.PositiveInfinity, 2)],
        "large and blocky areas, cloth that is washed", "small round shapes, whose edge it steps", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, true, 2) };

    public override string Because => "Brick stitch fills any width with short stitches, so nothing catches.";

    protected override IEnumerable<(double From, double To)> Divided(double lengthMm, bool odd, SewingBy by, SeededRandom chance)
    {
        var most = Math.Min(BrickMm, by.MostFreeMm);
        return Equal(lengthMm, odd ? most / 2 : most, most);
    }
}

/// <summary>A first row of long and short ones, and rows that bite into the row before, so that colours and rows melt together.</summary>
public sealed class LongAndShortStitch : ColumnStitch
{
    /// <summary>A long stitch, mm, where wear allows it; a short one's share; how far a row bites into the last (from memory).</summary>
    private const double LongMm = 6;

    private const double ShortShare = 0.6;

    private const double BiteShare = 0.25;

    public override StitchInfo Info { get; } = new(
        "long-and-short", "long and short stitch", StitchClass.Fill, 1, LongMm, _ => RestMm, StitchInfo.Caps(25, 25, 28, 30, 36),
            StitchInfo.Caps(30, 30, 34, 36, 44), [(double.PositiveInfinity, 2)],
        "wide petals, leaves and feathers that are to look alive", "hands in a hurry; very small shapes", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, true, 3) };

    public override string Because => "Long and short stitch follows a wide shape, and its rows melt into each other.";

    protected override bool Bites => true;

    protected override IEnumerable<(double From, double To)> Divided(double lengthMm, bool odd, SewingBy by, SeededRandom chance)
    {
        var most = Math.Min(LongMm, by.MostFreeMm);
        var (at, next) = (0.0, most * (odd ? ShortShare : 1) * chance.Between(0.85, 1));
        while (true)
        {
            if (lengthMm - next < RestMm)
            {
                next = lengthMm - at <= most ? lengthMm : (at + lengthMm) / 2;
            }

            yield return (at, Math.Min(next, lengthMm));
            if (next >= lengthMm - 1e-9)
            {
                yield break;
            }

            at = Math.Max(at, next - (BiteShare * most));
            next = at + (most * chance.Between(0.85, 1));
        }
    }
}

/// <summary>Loose straights along the flow of the shape, uneven, with cloth between them.</summary>
public sealed class DirectionalStraightStitch : ColumnStitch
{
    private const double LongMm = 7;

    public override StitchInfo Info { get; } = new(
        "directional-straight", "straight stitches along the flow", StitchClass.Fill, 1, LongMm, _ => RestMm,
            StitchInfo.Caps(18, 18, 20, 24, 30), StitchInfo.Caps(24, 24, 26, 30, 36), [(double.PositiveInfinity, 2)],
        "fur, grass, a light and quick fill", "things that are washed hard", StitchInfo.Memory)
    { Trait = new(Feel.Flat, false, false, 1) };

    public override string Because => "Loose straights along the flow are quick and light, and let cloth through.";

    protected override double Apart => 1.7;

    protected override IEnumerable<(double From, double To)> Divided(double lengthMm, bool odd, SewingBy by, SeededRandom chance)
    {
        var most = Math.Min(LongMm, by.MostFreeMm);
        var at = odd ? Math.Min(lengthMm / 4, chance.Between(0, most / 3)) : 0;
        while (at < lengthMm - RestMm)
        {
            var to = Math.Min(lengthMm, at + (most * chance.Between(0.55, 1)));
            yield return (at, lengthMm - to < RestMm && lengthMm - at <= most ? lengthMm : to);
            at = to + (most * chance.Between(0.1, 0.25));
        }
    }
}
