using Dittany.Core.Decisions;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Space;

/// <summary>Where an element goes: its anchor in the frame of the face, and what stands on it. Size does not move it.</summary>
public sealed record Place(Pt AnchorMm, Stands Stands, string ChoiceId);

/// <summary>
/// Where something goes because of what goes round it, or because it goes round something: the middle, what that is called, and why.
/// </summary>
public sealed record Within(Pt MiddleMm, string Text, Told Because)
{
    internal const string ChoiceId = "inside";
}

/// <summary>Places by zone, and the maker's own.</summary>
public static class Placement
{
    private static readonly Choice Optical = new(OpticalPlace.ChoiceId, OpticalPlace.Text);
    private static readonly Choice Beside = new("beside", "In the free room beside what is stitched");
    private static readonly Choice AsGiven = new("as-given", "Where you put it");

    /// <summary>Words are so many times as wide as high where nothing else is known of them (from memory).</summary>
    private const double WordsWide = 3;

    /// <summary>The choices an overrule may name: the usual places of all zones, and the optical centre.</summary>
    public static IReadOnlyList<Choice> Choices { get; } = Catalogue.Forms
        .SelectMany(f => f.Sizes.SelectMany(s => f.Build(s)))
        .SelectMany(d => d.Zones)
        .Select(z => new Choice(z.Usual.ChoiceId, z.Usual.Text))
        .Append(Optical)
        .Append(Beside)
        .Append(new Choice(Within.ChoiceId, "In the middle of what goes round"))
        .DistinctBy(c => c.ChoiceId, StringComparer.Ordinal)
        .ToArray();

    /// <summary>
    /// Settles where an element goes. <paramref name="centreMm"/> is her own centre or null; <paramref name="hers"/> her overrule;
    /// <paramref name="part"/> of
    /// <paramref name="parts"/> spreads several elements over the field, one below the other. A usual place of another zone cannot be taken
    /// here: the zone's own stands. Where something goes round it, that is its room, and <paramref name="within"/> its middle.
    /// </summary>
    public static (Place Place, Decision Decision) Settle(DecisionKey decisionId, Drawn item, Zone zone, Region field, Pt? centreMm,
        string? hers, int part, int parts, Called? called = null, Within? within = null)
    {
        var (least, greatest) = field.IsEmpty ? Region.Of(zone.Ring).Box : field.Box;
        var slice = (greatest.Y - least.Y) / parts;
        var optical = new Place(
            new Pt((least.X + greatest.X) / 2, least.Y + (slice * (part + 0.5)) - (slice * OpticalPlace.Rise)), Stands.OnMiddle,
                Optical.ChoiceId);
        called ??= Called.Words;
        var usual = within is null ? Usual(zone, optical, slice, part, parts) : null;
        var free = usual is not null && Taken(item, usual.AnchorMm)
            ? field.Roomiest(called.AreWords ? WordsWide : 1) : null;
        var own = free is { } room ? new Place(room + new Pt(0, (part - ((parts - 1) / 2.0)) * slice / 2), Stands.OnMiddle, Beside.ChoiceId)
            : usual ?? new Place(within.Sure().MiddleMm + new Pt(0, (part - ((parts - 1) / 2.0)) * slice), Stands.OnMiddle,
                Within.ChoiceId);
        var inTheMiddle = !called.AreWords && own.Stands != Stands.OnMiddle;
        var ownChoice = free is not null ? Beside : within is not null ? new Choice(Within.ChoiceId, within.Text)
            : new Choice(zone.Usual.ChoiceId, inTheMiddle ? "In the middle of the room there is"
            : Told(item, zone, own, part, parts));
        var known = hers is null || hers == ownChoice.ChoiceId || hers == Optical.ChoiceId;
        var place = centreMm is { } centre ? new Place(centre, Stands.OnMiddle, AsGiven.ChoiceId)
            : known && hers == Optical.ChoiceId ? optical : own;
        Told[] because = place.ChoiceId switch
        {
            "as-given" => [$"You put the middle of {called.All} {Across(item, place.AnchorMm.X)} and {Down(item, zone, place.AnchorMm)}."],
            OpticalPlace.ChoiceId => [OpticalPlace.Because],
            Within.ChoiceId => [within.Sure().Because],
            "beside" => [$"Its usual place is taken by what is stitched there; {Across(item, place.AnchorMm.X)} and {Down(item, zone, place.AnchorMm)} there is most room."],
            _ when inTheMiddle =>
                [$"{called.Upper} {called.Do("want")} as much room above as below, and {called.Do("stand")} "
                    + $"{Across(item, place.AnchorMm.X)}.", .. parts == 1 ? Array.Empty<Told>() : [Sharing]],
            _ => [.. zone.Usual.Because, parts == 1 ? $"The middle of {called.All} is {Across(item, place.AnchorMm.X)}." : Sharing],
        };
        if (!known)
        {
            because = [.. because, $"The place you asked for ('{hers}') belongs to another part of the item."];
        }

        var chosen = place.ChoiceId == AsGiven.ChoiceId ? AsGiven : place.ChoiceId == Optical.ChoiceId ? Optical : ownChoice;
        return (place, Deciding.Make(
            decisionId, Station.Space, "Where it goes", ownChoice, centreMm is not null || hers is not null ? chosen : null, because,
                ["Another zone, or a nudge on the bench."], [ownChoice, Optical]));
    }

    /// <summary>Whether something is stitched at a place already, or so near that nothing has room beside it.</summary>
    private static bool Taken(Drawn item, Pt at) => item.Obstacles.Any(o => o.Kind is ObstacleKind.Stitched or ObstacleKind.Knotted
        && at.X > o.Ring.Min(p => p.X) - NearMm && at.X < o.Ring.Max(p => p.X) + NearMm
        && at.Y > o.Ring.Min(p => p.Y) - NearMm && at.Y < o.Ring.Max(p => p.Y) + NearMm);

    /// <summary>Nearer than this to what is stitched no words stand well (from memory).</summary>
    private const double NearMm = 20;

    private static Measures.Told Sharing => "What is put here shares the room, one below the other.";

    private static Place Usual(Zone zone, Place optical, double slice, int part, int parts)
    {
        var usual = zone.Usual;
        var shift = usual.Stands == Stands.OnBaseline ? -(parts - 1 - part) * slice : part * slice;
        return usual.Stands == Stands.OnMiddle && parts > 1
            ? optical with { ChoiceId = usual.ChoiceId }
            : new Place(usual.AnchorMm + new Pt(0, shift), usual.Stands, usual.ChoiceId);
    }

    /// <summary>Further wordings stand elsewhere; what is told is where this one really stands.</summary>
    private static Measures.Told Told(Drawn item, Zone zone, Place own, int part, int parts)
    {
        var level = FindIt.Choose(item, zone, own.AnchorMm).Level;
        var usualPart = own.Stands == Stands.OnBaseline ? parts - 1 : 0;
        return own.Stands == Stands.OnMiddle || part == usualPart
            ? zone.Usual.Text
            : $"The {(own.Stands == Stands.OnTop ? "top" : "base")} of the words "
                + $"{Say.Length(Math.Round(Math.Abs(level.From.Y - own.AnchorMm.Y), 1))} from {level.Name}";
    }

    private static Told Across(Drawn item, double x)
    {
        var (left, right) = (item.Outline.Min(p => p.X), item.Outline.Max(p => p.X));
        var aside = Math.Round(x - ((left + right) / 2), 1);
        return Math.Abs(aside) < 0.05 ? "on the middle line"
            : (Told)$"{Say.Length(Math.Abs(aside))} {(aside > 0 ? "right" : "left")} of the middle line";
    }

    private static Told Down(Drawn item, Zone zone, Pt at)
    {
        var level = FindIt.Choose(item, zone, at).Level;
        var by = Math.Round(at.Y - level.From.Y, 1);
        return Math.Abs(by) < 0.05 ? $"on {level.Name}" : (Told)$"{Say.Length(Math.Abs(by))} {(by > 0 ? "below" : "above")} {level.Name}";
    }
}
