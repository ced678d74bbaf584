using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Measures;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.Needle;

namespace Dittany.Core.Planning;

/// <summary>
/// Letters and parts as units of the hoop, and which placing each stretch of stitches came to. What is larger than every ring comes
/// apart at its joints: whole parts where they are small, else stretches between stitches, so that the ring is moved along it.
/// </summary>
internal sealed class HoopUnits
{
    /// <summary>A part up to this across is kept whole in one ring, mm (from memory).</summary>
    private const double SmallMm = 40;

    /// <summary>A ring is moved along a line in stretches of about this length, mm (from memory).</summary>
    private const double StretchMm = 25;

    private readonly Dictionary<int, int> _letters = [];
    private readonly Dictionary<(int Letter, int Part), List<(int First, int Count, int Hoop)>> _stretches = [];

    public HoopUnits(Held held)
    {
        foreach (var placing in held.Placings)
        {
            foreach (var index in placing.Units)
            {
                var of = held.Units[index].Of.Sure();
                if (of.Part is not { } part)
                {
                    foreach (var letter in of.Letters)
                    {
                        _letters[letter] = placing.Order;
                    }

                    continue;
                }

                (_stretches.TryGetValue((of.Letter, part), out var known) ? known : _stretches[(of.Letter, part)] = [])
                    .Add((of.First, of.Count, placing.Order));
            }
        }
    }

    /// <summary>From so many knots on a ring does harm to them (from memory): the dot of an i bears it.</summary>
    internal const int KnotsThatStandUp = 3;

    /// <summary>
    /// Letters one by one, and the copies of a motif whole: a plant comes apart into its parts only where no ring takes it.
    /// </summary>
    public static IReadOnlyList<Unit> Of(IReadOnlyList<WorkedLetter> letters) => Enumerable.Range(0, letters.Count)
        .GroupBy(i => (letters[i].Element.Id, Copy: letters[i].Element.IsMotif ? letters[i].Parts[0].Copy : -1 - i))
        .Select(g => g.ToArray()).Select(g => (g, Units: g.Select(i => Of(letters[i], i)).ToArray()))
            .Select(u => u.Units.Length == 1 ? u.Units[0]
            : new Unit(u.Units[0].Name, u.Units.SelectMany(p => p.Points).ToArray(), u.Units.Max(p => p.HalfMm),
                new HoopStretch(u.g[0], null, 0, 0) { Letters = u.g })
            {
                Raised = u.Units.Any(p => p.Raised),
                Parting = () => u.Units,
            }).ToArray();

    /// <summary>One letter, or one part of a motif, as a unit.</summary>
    private static Unit Of(WorkedLetter letter, int index)
    {
        var name = letter.Parts[0].Letter;
        var half = letter.Parts.Max(p => p.LineWidthMm) / 2;
        return new Unit(name, Points([.. letter.Parts.Select(p => p.Stitches)]), half, new HoopStretch(index, null, 0, 0))
        {
            Raised = letter.Parts.Sum(p => p.Stitches.Count(s => s.Shape == StitchShape.Knot)) >= KnotsThatStandUp,
            Parting = () => letter.Parts.SelectMany((part, n) => Apart(part).Select(s =>
                new Unit(name, Points(part.Stitches.Slice(s.First, s.Count)), half,
                    new HoopStretch(index, n, s.First, s.Count)))).ToArray(),
        };
    }

    /// <summary>Stretches of a part in the order of their stitches, each with its placing; the part whole where it lies in one.</summary>
    public IReadOnlyList<(int First, int Count, int Hoop)> Stretches(int letter, int part, int count)
    {
        if (!_stretches.TryGetValue((letter, part), out var all))
        {
            return [(0, count, _letters.GetValueOrDefault(letter))];
        }

        var joined = new List<(int First, int Count, int Hoop)>();
        foreach (var next in all.OrderBy(s => s.First))
        {
            if (joined.Count > 0 && joined[^1].Hoop == next.Hoop)
            {
                joined[^1] = joined[^1] with { Count = joined[^1].Count + next.Count };
            }
            else
            {
                joined.Add(next);
            }
        }

        return joined;
    }

    private static Pt[] Points(params IReadOnlyList<IReadOnlyList<Stitch>> sewn)
    {
        var (points, n) = (new Pt[2 * sewn.Sum(s => s.Count)], 0);
        foreach (var stitches in sewn)
        {
            for (var i = 0; i < stitches.Count; i++)
            {
                (points[n], points[n + 1]) = (stitches[i].FromMm, stitches[i].ToMm);
                n += 2;
            }
        }

        return points;
    }

    private static IEnumerable<(int First, int Count)> Apart(Part part)
    {
        var stitches = part.Stitches;
        if (stitches.Count == 0)
        {
            yield break;
        }

        if (2 * Circle.Round(Region.HullOf(Points(stitches))).RadiusMm <= SmallMm)
        {
            yield return (0, stitches.Count);
            yield break;
        }

        var (first, along) = (0, 0.0);
        for (var i = 0; i < stitches.Count; i++)
        {
            along += stitches[i].FromMm.To(stitches[i].ToMm);
            if (i == stitches.Count - 1 || (along >= StretchMm && stitches[i + 1].Begins))
            {
                yield return (first, i + 1 - first);
                (first, along) = (i + 1, 0);
            }
        }
    }
}
