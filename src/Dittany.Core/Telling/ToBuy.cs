using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Threads;
using Dittany.Core.Time;

namespace Dittany.Core.Telling;

/// <summary>
/// A thread that pieces to be begun want: how many skeins or balls of it, for which of them, and what she calls it where she has it.
/// </summary>
public sealed record Wanting(string Colour, ThreadKind Kind, int Count, IReadOnlyList<string> For, string? Hers)
{
    public string Text => $"{Say.Upper(Palette.NameOf(Colour))}, {Kind.Name}: {Say.Count(Count, Kind.PutUp.Name)}"
        + (Hers is null ? string.Empty : $"; you have “{Hers}”");
}

/// <summary>What to buy: the threads of all pieces that are not begun, each colour and kind once.</summary>
public static class ToBuy
{
    /// <summary>A thread of hers this near, as a CIEDE2000 difference, is the same: the eye cannot tell them apart.</summary>
    private const double Same = 1;

    /// <summary>What is wanted, what she does not have first; skeins are counted over all pieces, not piece by piece.</summary>
    public static IReadOnlyList<Wanting> Of(IEnumerable<Plan> plans, IReadOnlyList<OwnThread> hers) => plans
        .Where(p => p.Sewn && p.Time.Progress.Stage is Stage.Planned or Stage.Washed)
        .SelectMany(p => p.Threads.Select(t => (Plan: p, Need: t)))
        .GroupBy(t => (t.Need.Thread.Kind.Id, Hex: t.Need.Colour.ToLowerInvariant()))
        .Select(g => new Wanting(g.Key.Hex, g.First().Need.Thread.Kind,
            ThreadRoom.Skeins(g.Sum(t => t.Need.OffMm) / g.First().Need.Thread.Kind.PutUp.LengthMm),
            g.Select(t => t.Plan.Title).Distinct(StringComparer.Ordinal).ToArray(),
            Chart.Nearest(g.Key.Hex, hers.Where(h => h.Kind == g.Key.Id), h => h.Hex, 1) is [var (own, off)] && off < Same
                ? own.Name : null))
        .Where(w => w.Count > 0).OrderBy(w => w.Hers is not null).ThenBy(w => w.Text, StringComparer.Ordinal).ToArray();
}
