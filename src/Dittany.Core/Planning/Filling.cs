using Dittany.Core.Decisions;
using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.InAreas;

namespace Dittany.Core.Planning;

/// <summary>How one shape is made: a fill, or null for its lines; the stitch of those where one is wished; strands, direction.</summary>
internal sealed record ShapeWay(AreaStitch? Fill, IStitch? Line, int? Strands, string? Colour, Direction? Direction)
{
    /// <summary>Colours it goes through from its foot to its tip; none where it is in one.</summary>
    public IReadOnlyList<string> Colours { get; init; } = [];

    /// <summary>The thread wished for it; null takes that of the whole.</summary>
    public ThreadKind? Thread { get; init; }

    /// <summary>The thread it is made with, where the whole would be made with this one.</summary>
    public ThreadSize Of(ThreadSize whole)
    {
        var size = Thread is null ? whole : whole.In(Thread);
        return Strands is { } n && size.Kind.Plies.Contains(n) ? size.With(n) : size;
    }
}

/// <summary>
/// Settles what areas of an element are filled with: by her wish for a part, by her wish for the whole, else they are worked along their
/// edges. What is too thin or too wide for a wished fill is worked along its edge, and that is said.
/// </summary>
internal sealed class FillingRoom(DecisionKey decisionId, string? wished, string habit,
    IReadOnlyList<PartAsked> byPart, double mostFreeMm, string whyFree,
    FillFacts facts, int seed, Func<ThreadSize, StitchSpec> specFor, Func<string, ThreadKind> threadOf, bool letters = false)
{
    private readonly HashSet<(string Role, string Name, string Shape, string Letter)> _filled = [];

    /// <summary>Fills that were refused for parts of a role: told once for all of them.</summary>
    private readonly HashSet<(string Fill, string Role)> _refused = [];

    /// <summary>What uneven lengths come from.</summary>
    public int Seed => seed;

    private readonly List<Told> _because = [];
    private readonly List<Told> _through = [];
    private readonly List<Told> _wants = [];
    private readonly List<Told> _against = [];
    private readonly HashSet<PartAsked> _heard = [];
    private readonly List<Told> _notFollowed = [];

    /// <summary>So many reasons against a fill are told: the others say the same of other parts.</summary>
    private const int MostAgainst = 2;

    /// <summary>How this shape is made where the whole is made with this thread.</summary>
    public ShapeWay WayOf(Shape shape, ThreadSize main, PartAsked? particular = null)
    {
        var hers = Merged(byPart.LastOrDefault(p => p.Role == shape.Role && (p.Copy is null || p.Copy == shape.Copy)), particular);
        foreach (var heard in byPart.Where(p => p.Role == shape.Role && (p.Copy is null || p.Copy == shape.Copy)))
        {
            _heard.Add(heard);
        }

        hers = hers is { Colour: { } colour } ? hers with { Colour = Palette.HexOf(colour) } : hers;
        var thread = hers?.Thread is null ? null : threadOf(hers.Thread);
        var own = new ShapeWay(null, null, hers?.Strands, null, null) { Thread = thread }.Of(main);
        if (hers?.Strands is { } wanted && own.Ply != wanted)
        {
            _notFollowed.Add(ThreadChoice.Unheld(wanted, own.Kind));
        }

        if (hers?.Stitch is { } stitched && (Book.Fill(stitched) ?? Book.Find(stitched)) is { } known
            && ThreadRules.Against(own.Kind, known) is { } cannot)
        {
            _notFollowed.Add(ThreadChoice.Unworked(known.Name, $"the {Called(shape)}", own.Kind, cannot));
            hers = hers with { Stitch = null };
        }

        var direction = Wished(hers) ?? shape.Flow;
        var line = hers?.Stitch is { } id && Book.Fill(id) is null ? Book.Find(id) : null;
        if (shape.Area is not { } area || line is not null)
        {
            if (shape.Area is not null && hers is not null && Directed(hers))
            {
                SayUndirected(shape, direction ?? new Direction(DirectionKind.ByLines), AlongEdge);
            }

            return new ShapeWay(null, line, hers?.Strands, hers?.Colour, direction) { Thread = thread };
        }

        var fill = hers?.Stitch ?? (wished is { } whole && Known(whole) is not null ? whole : habit);
        var chosen = fill == FillWays.None ? null : Chosen(fill, shape, area, By(own, direction));
        var colours = (hers?.Colours ?? []).Select(Palette.HexOf).ToArray();
        if (colours.Length > 1 && chosen is null or { Colours: FillColours.One })
        {
            _notFollowed.Add($"Several colours for the {Called(shape)}, your wish, are not followed: "
                + $"{(chosen is null ? "it is worked along its edge" : $"{chosen.Info.Name} goes in one")}. Take long and short stitch, which goes through them from foot to tip, or knots, which mix them.");
            colours = [];
        }

        if (colours.Length > 1 && chosen is not null)
        {
            var named = Say.List(colours.Select(Palette.NameOf).ToArray());
            _through.Add(chosen.Colours == FillColours.Mixed ? $"The {Called(shape)} mixes {named}."
                : $"The {Called(shape)} goes through {named}, from foot to tip.");
        }

        if (hers is not null && Directed(hers) && direction is not null && Undirected(chosen, direction) is { } why)
        {
            SayUndirected(shape, direction, why);
        }

        return new ShapeWay(chosen, null, hers?.Strands, hers?.Colour ?? (hers?.Colours is [var first, ..] ? Palette.HexOf(first) : null),
            direction)
        {
            Colours = colours.Length > 1 ? colours : [],
            Thread = thread,
        };
    }

    /// <summary>How the stitches are to lie by her wish; lines she drew are in the drawing itself.</summary>
    private static Direction? Wished(PartAsked? hers) => hers?.DirectionDegrees is { } degrees
        ? new Direction(DirectionKind.OneWay, degrees * Math.PI / 180)
        : Direction.Find(hers?.Direction) is { } kind ? new Direction(kind) : null;

    /// <summary>Of two wishes the more particular one holds, member by member.</summary>
    private static PartAsked? Merged(PartAsked? role, PartAsked? particular) => role is null || particular is null ? particular ?? role
        : role with
        {
            Stitch = particular.Stitch ?? role.Stitch,
            Strands = particular.Strands ?? role.Strands,
            Thread = particular.Thread ?? role.Thread,
            Colour = particular.Colour ?? role.Colour,
            DirectionDegrees = Directed(particular) ? particular.DirectionDegrees : role.DirectionDegrees,
            Direction = Directed(particular) ? particular.Direction : role.Direction,
            DirectionLines = Directed(particular) ? particular.DirectionLines : role.DirectionLines,
            Colours = particular.Colours.Count > 0 ? particular.Colours : role.Colours,
        };

    private static Told AlongEdge => "it is worked along its edge, and nothing fills it.";

    private void SayUndirected(Shape shape, Direction direction, Told why) => _notFollowed.Add(
        $"The direction of stitches in the {Called(shape)}, {Direction.Called(direction.Kind)}, your wish, is not followed: {why} "
            + "Take satin, long and short, brick or straight stitches.");

    /// <summary>Why a direction is not followed; null where it is.</summary>
    private static Told? Undirected(AreaStitch? fill, Direction direction) => fill switch
    {
        null => AlongEdge,
        { Directed: false } => (Told)$"{fill.Info.Name} goes its own way.",
        { FollowsField: false } when direction.Bends => (Told)$"{fill.Info.Name} lies one way, so it lies as they would in the middle.",
        _ => null,
    };

    private static bool Directed(PartAsked asked) => asked is not { DirectionDegrees: null, Direction: null, DirectionLines.Count: 0 };

    /// <summary>By what a shape is sewn with a thread.</summary>
    public SewingBy By(ThreadSize size, Direction? direction, Budget? budget = null) => new(specFor(size), Budget: budget)
    {
        MostFreeMm = mostFreeMm,
        Direction = direction,
        Seed = seed,
        Upright = letters,
    };

    /// <summary>The decision that tells of it; <paramref name="areas"/>: whether there is anything to fill at all.</summary>
    public Decision Told(bool areas, bool words)
    {
        if (wished is not null && Known(wished) is null)
        {
            _notFollowed.Add($"{Say.Upper(wished.Replace('-', ' '))} cannot be drawn yet: the shapes are worked along their outlines.");
        }

        foreach (var idle in words && !areas ? byPart : byPart.Where(p => !_heard.Contains(p)))
        {
            _notFollowed.Add(words && !areas
                ? (Told)$"Your wish for the {Roles.Called(idle.Role)} is not followed: wishes for parts hold for letters with weight, which are areas."
                : (Told)$"Your wish for the {Roles.Called(idle.Role)}{(idle.Copy is { } n ? $" of copy {n + 1}" : string.Empty)} is not followed: there is "
                    + $"none of that name in it.");
        }

        if (words && byPart.Any(p => p.Stitch is { } line && Book.Fill(line) is null))
        {
            _notFollowed.Add("A stitch for lines, your wish for a part, is not followed: letters take the stitch of their words.");
        }

        var hers = wished is null ? null : Known(wished);
        var byWish = wished is null && habit == FillWays.None && _filled.Count > 0;
        var own = byWish ? new Choice(FillWays.None, "Part by part, as you wished") : areas ? Known(habit).Sure() : new Choice(FillWays.None, "Nothing to fill");
        Told[] because = !areas ? [words ? "This hand is all lines: there is no shape to fill." : "It is all lines and points: there is no "
                + "shape to fill."]
            : _filled.Count == 0 ? ["Its shapes are worked along their outlines, and nothing fills them."]
            : [.. _filled.GroupBy(f => f.Name, StringComparer.Ordinal).Select(g => (Told)$"{Of([.. g])} in {g.Key}."),
                .. facts.Hurried ? [(Told)"Filled closely it would take most of the evenings there are, so open stitches are taken."]
                    : Array.Empty<Told>(),
                .. facts.Learner && _because.Count > 0 ? [(Told)"For a learner's hand easier fills are taken: a border hides uneven ends."]
                    : Array.Empty<Told>(),
                .. _wants.Concat(_through).Concat(_because).Concat(_against.Take(MostAgainst))
                    .DistinctBy(b => b.ToString(), StringComparer.Ordinal),
                $"Nothing longer than {Say.Length(mostFreeMm)} floats on the face, for {whyFree}."];
        return Deciding.Make(decisionId, Station.Stitches, "What fills the shapes", own, hers, because,
            [areas ? "A fill for the whole, or a wish for one part." : words ? "Letters with weight, or a motif." : "Another motif."],
            areas ? FillWays.Choices : null) with
        {
            NotFollowed = _notFollowed.Count == 0 ? null : _notFollowed.DistinctBy(t => t.ToString(), StringComparer.Ordinal).ToArray(),
            UnfollowedWish = true,
            From = _filled.Count == 0 ? null : ["How far threads may float on the face, by wear: from memory."],
        };
    }

    /// <summary>What is filled alike: parts by their roles, letters by themselves where not all are alike.</summary>
    private Told Of(IReadOnlyList<(string Role, string Name, string Shape, string Letter)> alike) =>
        letters && alike.Count < _filled.Count ? Say.List(alike.Select(f => f.Letter).Distinct(StringComparer.Ordinal).ToArray())
            : Say.Upper(Say.List(alike.GroupBy(f => f.Role, StringComparer.Ordinal).Select(r =>
                r.Count() == 1 ? r.Key : Say.Many(r.Key)).ToArray()));

    private AreaStitch? Chosen(string id, Shape shape, Area area, SewingBy by)
    {
        if (id == FillWays.ByPart)
        {
            var advice = FillBook.For(shape.Role, area, by, facts);
            if (advice.Fill is { } best)
            {
                Note(shape, best, best.Because);
                _wants.AddRange(advice.Wants is { } wants ? [wants] : []);
                _against.AddRange(advice.Against is { } against ? [against] : []);
            }
            else
            {
                _because.Add($"The {Called(shape)} is worked along its edge: {advice.Against.Sure().Lower()}");
            }

            return advice.Fill;
        }

        var fill = Book.Fill(id).Sure();
        var fits = ThreadRules.Against(by.Spec.Pair.Size.Kind, fill) is { } cannot ? new Judgement(false, cannot.Because, cannot.Cure)
            : fill.Fills(area, by);
        if (!fits.Fits)
        {
            if (!_refused.Add((id, shape.Role)))
            {
                return null;
            }

            _notFollowed.Add($"{Say.Upper(fill.Info.Name)} for the {Called(shape)}, your wish, is not followed: {Say.Lower(fits.Why.Sure())} "
                + $"{fits.Cure} So it is worked along its edge.");
            return null;
        }

        Note(shape, fill, fill.Because);
        return fill;
    }

    private void Note(Shape shape, AreaStitch? fill, Told because)
    {
        if (fill is not null)
        {
            _filled.Add((Called(shape), fill.Info.Name, shape.Id, shape.Letter));
        }

        _because.Add(because);
    }

    private static string Called(Shape shape) => Roles.Called(shape.Role);

    private static Choice? Known(string id) => FillWays.Choices.FirstOrDefault(c => c.ChoiceId == id);
}
