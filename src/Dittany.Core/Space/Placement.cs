using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Measures;
using Dittany.Core.Telling;

namespace Dittany.Core.Space;

/// <summary>What of the words stands on the anchor: the last row's baseline, or the middle of the x-height band.</summary>
public enum Stands
{
    OnBaseline,
    OnMiddle,
}

/// <summary>Where an element goes: its anchor in the frame of the face, and what stands on it. Size does not move it.</summary>
public sealed record Place(Pt AnchorMm, Stands Stands, string ChoiceId);

/// <summary>Places by zone, and the maker's own.</summary>
public static class Placement
{
    /// <summary>The base of the lettering stands this far above the hem (from memory).</summary>
    public const double BaseAboveHemMm = 70;

    /// <summary>The optical centre lies this share of the height above the middle (from memory).</summary>
    public const double OpticalRise = 0.05;

    private static readonly Choice AboveHem = new("base-above-hem", "The base of the words 70 mm above the hem, on the centre fold");
    private static readonly Choice Optical = new("optical-centre", "Centred, a little above the middle");
    private static readonly Choice AsGiven = new("as-given", "Where you put it");

    /// <summary>The choices an overrule may name.</summary>
    public static IReadOnlyList<Choice> Choices { get; } = [AboveHem, Optical];

    /// <summary>
    /// Settles where an element goes. <paramref name="centreMm"/> is her own centre or null; <paramref name="hers"/> her overrule; <paramref name="part"/> of
    /// <paramref name="parts"/> spreads several elements over the field, one below the other.
    /// </summary>
    public static (Place Place, Decision Decision) Settle(string decisionId, Drawn item, Zone zone, Region field, Pt? centreMm, string? hers, int part, int parts)
    {
        var (least, greatest) = field.IsEmpty ? Region.Of(zone.Ring).Box : field.Box;
        var usual = string.Equals(zone.Id, "lower", StringComparison.Ordinal) ? AboveHem : Optical;
        var chosen = centreMm is not null ? AsGiven : hers is null ? usual : Choices.First(c => string.Equals(c.ChoiceId, hers, StringComparison.Ordinal));

        var slice = (greatest.Y - least.Y) / parts;
        var middle = least.Y + (slice * (part + 0.5));
        var optical = new Place(new Pt((least.X + greatest.X) / 2, middle - (slice * OpticalRise)), Stands.OnMiddle, Optical.ChoiceId);
        var hem = item.Landmarks.First(l => string.Equals(l.Id, "bottom-hem-stitching", StringComparison.Ordinal));
        var aboveHem = new Place(
            new Pt((least.X + greatest.X) / 2, hem.From.Y - BaseAboveHemMm - ((parts - 1 - part) * slice)),
            Stands.OnBaseline,
            AboveHem.ChoiceId);

        // Further wordings stand higher; what is told is where this one really stands.
        var up = hem.From.Y - aboveHem.AnchorMm.Y;
        var here = AboveHem with { Text = $"The base of the words {Say.Length(Math.Round(up, 1))} above the hem, on the centre fold" };
        usual = ReferenceEquals(usual, AboveHem) ? here : usual;
        chosen = chosen.ChoiceId == here.ChoiceId ? here : chosen;
        var place = centreMm is { } centre ? new Place(centre, Stands.OnMiddle, AsGiven.ChoiceId)
            : ReferenceEquals(chosen, here) ? aboveHem : optical;
        string[] because = chosen.ChoiceId switch
        {
            "as-given" => [$"You put the middle of the words {Say.Length(place.AnchorMm.X)} from the left and {Say.Length(place.AnchorMm.Y)} from the top."],
            "base-above-hem" =>
            [
                part == parts - 1
                    ? $"{Say.Length(up)} above the hem's stitching the words hang where the eye falls, clear of the band."
                    : $"{Say.Length(Math.Round(up, 1))} above the hem's stitching they stand clear of the words below them.",
                $"The lengthwise fold is the middle: {Say.Length(place.AnchorMm.X)} from either side.",
            ],
            _ => [$"The eye takes the middle for too low, so the words stand {Say.Number(OpticalRise * 100)} % of the height above it."],
        };
        var decision = Deciding.Make(
            decisionId,
            Station.Space,
            "Where it goes",
            usual,
            centreMm is not null || hers is not null ? chosen : null,
            because,
            ["Another zone, or a nudge on the bench."],
            [here, Optical]);
        return (place, decision);
    }
}
