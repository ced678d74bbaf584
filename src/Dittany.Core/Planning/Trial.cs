using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Time;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// Five minutes with the worst letter on a scrap of the same cloth, proposed where it is on the edge whether it stays open. What came of it
/// is kept, and changes what must stay open on such cloth in her hand.
/// </summary>
public sealed record Trial(string Element, string Letter, double OpenMm, double WantedMm, string Cloth, string ClothName)
{
    /// <summary>On the edge is what is open by this share of what must be, up to that (from memory).</summary>
    public const double EdgeFrom = 0.7;

    public const double EdgeTo = 1.2;

    /// <summary>What a trial leaves beside the letter that was tried, so that the same is not asked again.</summary>
    private const double Beside = 0.02;

    /// <summary>Whether the plan takes it for shut.</summary>
    public bool Shut => OpenMm < WantedMm - Legibility.HairMm;

    /// <summary>Why it is worth five minutes.</summary>
    public Told Because => Shut
        ? (Told)($"The {Letter} is a little under what must stay open: {Say.Length(Math.Round(OpenMm, 2))} of {Say.Length(Math.Round(WantedMm, 2))}. Hands differ: "
            + $"stitch it once on a scrap of {ClothName}, and you know.")
        : (Told)($"The {Letter} just stays open: {Say.Length(Math.Round(OpenMm, 2))}, and {Say.Length(Math.Round(WantedMm, 2))} must. Hands differ: stitch it once on "
            + $"a scrap of {ClothName} before all the others.");

    /// <summary>
    /// The letter that is nearest to shutting, where it is on the edge, nothing is stitched yet and she has not tried on such cloth; else
    /// null.
    /// </summary>
    public static Trial? Of(Plan plan)
    {
        if (plan.Item.Cloth.Tried || plan.Time.Progress.Stitched
            || plan.Time.Progress.Stage is not (Stage.Planned or Stage.Washed or Stage.Marked))
        {
            return null;
        }

        var kind = plan.Item.Cloth.Kind;
        var edge = plan.Elements.Where(e => e.Craft is null).SelectMany(e => (e.Letters ?? []).Where(l => l.OpenMm is not null).Select(l =>
            new Trial(e.Id, l.Letter, l.OpenMm.Sure(), l.WantedMm, kind.Id, kind.Name))).MinBy(t => t.OpenMm / t.WantedMm);
        return edge is not null && edge.OpenMm / edge.WantedMm is >= EdgeFrom and <= EdgeTo ? edge : null;
    }

    /// <summary>
    /// What must stay open on this cloth after the trial, as a share of the usual; <paramref name="before"/> is what held so far.
    /// </summary>
    public double After(bool stayedOpen, double before)
    {
        var here = before * OpenMm / WantedMm;
        var after = stayedOpen != Shut ? before
            : stayedOpen ? here - Beside : here + Beside + (before * Legibility.HairMm / WantedMm);
        return Math.Round(Math.Clamp(after, TrialShares.LeastShare, TrialShares.MostShare), 3);
    }

    /// <summary>The trials she has made, with what came of this one.</summary>
    public IReadOnlyDictionary<string, double> Kept(IReadOnlyDictionary<string, double> before, bool stayedOpen) =>
        new Dictionary<string, double>(before, StringComparer.Ordinal) { [Cloth] = After(stayedOpen, before.GetValueOrDefault(Cloth, 1)) };

    /// <summary>What is told where a trial of hers holds; null where none does.</summary>
    public static Told? Told(Cloth cloth) => cloth.StaysOpen is 1 ? null
        : $"You tried it on {cloth.Kind.Name}: in your hand {Say.Number(100 * cloth.StaysOpen, 0)} % of the usual opening must stay.";
}
