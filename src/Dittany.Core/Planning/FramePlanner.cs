using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Measures;
using Dittany.Core.Motifs;
using Dittany.Core.Space;

namespace Dittany.Core.Planning;

/// <summary>
/// Motifs that go round the others of a piece, by their place among its elements, and the ground that is left inside them.
/// </summary>
internal sealed record FramePlanner(
    IReadOnlyDictionary<int, (PlannedElement Element, IReadOnlyList<Decision> Decisions)> Planned, WordingGround Inside)
{
    /// <summary>Plans one of them once more, without what lies over it.</summary>
    public IReadOnlyDictionary<int, Func<Region, (PlannedElement Element, IReadOnlyList<Decision> Decisions)>> Again { get; init; } =
        new Dictionary<int, Func<Region, (PlannedElement Element, IReadOnlyList<Decision> Decisions)>>();

    /// <summary>Cloth that stays free between what goes round and what stands in it, mm (from memory).</summary>
    public const double AirMm = 4;

    private const int CircleCorners = 96;

    /// <summary>
    /// Plans rings without a middle and borders, where something else stands within them. A ring stands about the words where those have a
    /// place of her own; else the words stand in its middle.
    /// </summary>
    public static FramePlanner Plan(Job job, WordingGround ground, Workshop workshop, HeardOverrides overrides)
    {
        var planned = new Dictionary<int, (PlannedElement Element, IReadOnlyList<Decision> Decisions)>();
        var again = new Dictionary<int, Func<Region, (PlannedElement Element, IReadOnlyList<Decision> Decisions)>>();
        var inside = ground;
        var rounds = job.Elements.Select((e, i) => (Asked: e as MotifElement, At: i)).Where(m => m.Asked is { } asked && GoesRound(asked,
            m.At))
            .Select(m => (Asked: m.Asked.Sure(), m.At)).ToArray();
        if (rounds.Length == job.Elements.Count)
        {
            // Nothing is left to go round: they share the room like any others.
            return new FramePlanner(planned, ground);
        }

        foreach (var (asked, at) in rounds)
        {
            var hers = job.Wordings.FirstOrDefault(e => e.CentreMm is not null)?.CentreMm;
            var about = hers is { } centre ? inside with
            {
                Within = new Within(centre, "About the words", "It goes round the words, so it has its middle where theirs is."),
            } : inside;
            var round = new MotifPlanner(about, workshop, overrides).Plan(asked, at, 0, 1, round: true);
            planned[at] = round;
            again[at] = over =>
                new MotifPlanner(about with { Over = over }, workshop, overrides).Plan(asked, at, 0, 1, round: true);
            var element = round.Element;
            if (element.Parts.Count > 0)
            {
                var (region, middle) = Room(element);
                inside = inside with
                {
                    Field = inside.Field.Within(region),
                    Within = new Within(middle, $"In the middle of the {element.Text}", Because(element)),
                };
            }
        }

        return new FramePlanner(planned, inside) { Again = again };

        bool GoesRound(MotifElement asked, int index) => asked.Middle != true
            && (asked.Arrangement ?? overrides.For(new DecisionKey("motif.arrangement", index == 0 ? null : asked.Id))) is "ring" or "border";
    }

    private static Told Because(PlannedElement element) =>
        $"The {element.Text} goes round what stands here, and leaves it the room inside, {Say.Length(AirMm)} of bare cloth between.";

    /// <summary>The room inside, and its middle: a circle in a ring, a rectangle in a border. Empty where nothing is left.</summary>
    private static (Region Region, Pt Middle) Room(PlannedElement element)
    {
        var points = element.Parts.SelectMany(p => p.LineMm).ToArray();
        var keep = (element.LineWidthMm / 2) + AirMm;
        if (element.Arrangement == "ring")
        {
            // Turned evenly, all points of a ring balance about its middle.
            var middle = new Pt(points.Average(p => p.X), points.Average(p => p.Y));
            var radius = points.Min(p => p.To(middle)) - keep;
            return (radius <= 0 ? Region.Empty : Region.Of(Enumerable.Range(0, CircleCorners).Select(i => Math.Tau * i / CircleCorners)
                .Select(a => middle + new Pt(radius * Math.Cos(a), radius * Math.Sin(a))).ToArray()), middle);
        }

        var box = element.BoxMm;
        var centre = new Pt(box.X + (box.Width / 2), box.Y + (box.Height / 2));
        var share = points.Min(p => Math.Max(Math.Abs(p.X - centre.X) / (box.Width / 2), Math.Abs(p.Y - centre.Y) / (box.Height / 2)));
        var (wide, high) = ((share * box.Width / 2) - keep, (share * box.Height / 2) - keep);
        return (wide <= 0 || high <= 0 ? Region.Empty : Region.Rectangle(centre.X - wide, centre.Y - high, 2 * wide, 2 * high), centre);
    }
}
