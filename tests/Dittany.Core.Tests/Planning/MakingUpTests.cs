using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Operations;

namespace Dittany.Core.Tests.Planning;

/// <summary>Made up by measure: cloth, threads and filling against closed forms, and wishes that cannot be.</summary>
public class MakingUpTests
{
    private static Job Of(string form, MakeUp? up, IReadOnlyDictionary<string, double>? measured = null) => new(form,
        [new TextElement("w", "Ida")], Samples.Monday, MeasuredMm: measured)
    { MakeUp = up };

    private static Operation Made(string form, MakeUp? up = null) => Samples.Make(Of(form, up), Workshop.Default).Work.Single(o => o.Id == "make-up");

    /// <summary>
    /// A bowl of 82 mm: a round of 80 (2 mm less, from memory), cut at 180 and trimmed to 150 when it is stitched (35 mm round it, and 15
    /// more to be held by, common practice), gathered 5 mm inside with an
    /// even number of stitches; filling half a ball of 4 cm, 134 cm³, by 1.3.
    /// </summary>
    [Fact]
    public void A_bowl_tells_the_cloth_the_thread_and_the_filling()
    {
        var plan = Samples.Make(Of("pin-cushion-round", new MakeUp("gathered-round", BowlMm: 82)), Workshop.Default);
        var outline = plan.Item.OutlineMm;
        Assert.Equal(80, outline.Max(p => p.X) - outline.Min(p => p.X), 1);
        Assert.Contains("180 mm", plan.Work.Single(o => o.Id == "cut").Steps[0].ToString(), StringComparison.Ordinal);
        Assert.Contains(plan.Work.Single(o => o.Id == "cut").Steps, s => s.ToString().Contains("tack along it", StringComparison.Ordinal));
        var made = plan.Work[^1];
        Assert.Equal(Math.Round((Math.PI * 140) + 300), made.Uses!.Single(u => u.What == "strong thread").Amount);
        Assert.Equal(4.0 / 6 * Math.PI * 64, MakingUp.CupCm3(80), 6);
        Assert.Equal(Math.Round(134.04 * 1.3 * 0.03, 1), made.Uses!.Single(u => u.What == "filling").Amount);
        var steps = string.Join(' ', made.Steps);
        Assert.Contains("82 mm wide inside", steps, StringComparison.Ordinal);
        Assert.Contains("the square of 150 mm", steps, StringComparison.Ordinal);
        Assert.Contains("88 close stitches", steps, StringComparison.Ordinal);
        Assert.True(steps.IndexOf("Only now pull the tacking", StringComparison.Ordinal) > steps.IndexOf("cut the square of", StringComparison.Ordinal));
    }

    /// <summary>Round a circle it is its diameter by pi; round an ellipse of 3 by 1 as the elliptic integral has it (13.3649).</summary>
    [Fact]
    public void The_way_round_is_that_of_circle_and_ellipse()
    {
        Assert.Equal(Math.PI * 75, MakingUp.AroundMm(75, 75), 9);
        Assert.Equal(13.3649, MakingUp.AroundMm(6, 2), 0.001);
    }

    /// <summary>
    /// A badge of 75 mm: cut at 91 with its seam of 8, turned through 30, trimmed to 4, its rim overcast by stitches that touch: as many as
    /// threads of six strands go round.
    /// </summary>
    [Fact]
    public void A_badge_is_sewn_turned_and_overcast()
    {
        var made = Made("badge");
        var steps = string.Join(' ', made.Steps);
        Assert.Contains("91 mm", steps, StringComparison.Ordinal);
        Assert.Contains("gap of 30 mm", steps, StringComparison.Ordinal);
        Assert.Contains("thimble", steps, StringComparison.Ordinal);
        var rim = (int)Math.Ceiling(Math.PI * 75 / Core.Materials.Bundle.WidthMm(6));
        Assert.Contains($"{rim} stitches touching", steps, StringComparison.Ordinal);
        Assert.True(made.Uses!.Single(u => u.What.StartsWith("rim", StringComparison.Ordinal)).Amount > rim * 2 * MakingUp.RimDeepMm);
    }

    /// <summary>A frame is given by its opening as she measures it; lacing goes both ways, a stitch every 15 mm.</summary>
    [Fact]
    public void A_frame_is_given_by_its_opening()
    {
        var plan = Samples.Make(Of("framed-sampler", new MakeUp("framed", OpeningWideMm: 300, OpeningHighMm: 240)), Workshop.Default);
        Assert.Equal(300, plan.Item.OutlineMm.Max(p => p.X) - plan.Item.OutlineMm.Min(p => p.X), 1);
        var made = plan.Work[^1];
        Assert.Contains("300 mm × 240 mm", made.Steps[0].ToString(), StringComparison.Ordinal);
        Assert.Equal(Math.Round((((20 * 240) + (16 * 300)) * 1.1) + 600), made.Uses!.Single(u => u.What == "lacing thread").Amount);
    }

    /// <summary>A bowl of 5 mm, a tote as a badge, half an opening, a size said twice: told with what would do.</summary>
    [Fact]
    public void What_cannot_be_made_up_is_told()
    {
        IReadOnlyList<ValidationError> Faults(string form, MakeUp up, IReadOnlyDictionary<string, double>? measured = null) =>
            Samples.Faults(Of(form, up, measured), Workshop.Default);
        Assert.Contains(Faults("pin-cushion-round", new MakeUp("gathered-round", BowlMm: 5)), f => f.Pointer == "#/makeUp/bowlMm"
            && f.Try.Contains("40 to 200", StringComparison.Ordinal));
        Assert.Contains(Faults("tote", new MakeUp("badge")), f => f.Pointer == "#/makeUp/as" && f.Try.Contains("'badge'", StringComparison.Ordinal));
        Assert.Contains(Faults("tote", new MakeUp("glued")), f => f.Try.Contains("gathered-round", StringComparison.Ordinal));
        Assert.Contains(Faults("framed-sampler", new MakeUp("framed", OpeningWideMm: 300)), f => f.Pointer == "#/makeUp/openingMm");
        Assert.Contains(Faults("pin-cushion-round", new MakeUp("gathered-round", BowlMm: 82), new Dictionary<string, double> { ["width"] = 70 }),
            f => f.Pointer == "#/item/measuredMm");
        Assert.Empty(Faults("badge", new MakeUp("none")));
        Assert.DoesNotContain(Samples.Make(Of("badge", new MakeUp("none")), Workshop.Default).Work, o => o.Id == "make-up");
    }
}
