using Dittany.Core.Cautions;
using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Tests.Planning;

namespace Dittany.Core.Tests.Cautions;

/// <summary>
/// Cautions stand where they arise, and not where they do not: each rule once met and once not, one fact changed between them.
/// </summary>
public class CautionTests
{
    private static readonly Cloth Linen = ClothOf("linen");

    private static readonly CautionFacts Calm = new(
        Linen with { Prewashed = true }, ["#4f7358"], Inks.Find("none")!, MarksCloth: false, "film-traced", "none",
            new Worn("adult", false, "often", "years", []), SeenOutdoors: false, [], IronUsed: false, StitchingHours: 0.5);

    private static Cloth ClothOf(string kind, string colour = "#f1ede2") =>
        Samples.Plan(Samples.On("tote", "o") with { Fabric = new FabricOverrides(kind, colour) }).Item.Cloth;

    public static TheoryData<string, Func<CautionFacts, CautionFacts>, CautionKind> Rules() => new()
    {
        { "Read the words back", f => f with { Texts = ["Zoë"] }, CautionKind.Item },
        { "Look up every few minutes", f => f with { StitchingHours = 2 }, CautionKind.Person },
        { "Hot iron: keep", f => f with { IronUsed = true }, CautionKind.Person },
        { "Hot iron and steam", f => f with { IronUsed = true, SteamUsed = true }, CautionKind.Person },
        { "can run", f => f with { ThreadColours = [Palette.Colours.First(c => Palette.MayBleed(c.Hex)).Hex] }, CautionKind.Item },
        { "give off colour", f => f with { Cloth = ClothOf("linen", "#20242c") with { Prewashed = true } }, CautionKind.Item },
        { "scrap or an offcut of the same cloth", f => f with { MarksCloth = true, Marker = Inks.Find("chalk")! }, CautionKind.Item },
        { "heat sets the line for good", f => f with { MarksCloth = true, Marker = Inks.Find("water-erasable")! }, CautionKind.Item },
        { "cannot be undone", f => f with { MethodId = "hot-iron" }, CautionKind.Item },
        { "freezing cold", f => f with { MarksCloth = true, Marker = Inks.Find("heat-erasable")! }, CautionKind.Item },
        { "shrinks about", f => f with { Cloth = Linen with { Prewashed = false } }, CautionKind.Item },
        { "leaks at every needle hole", f => f with { Cloth = ClothOf("coated-canvas") with { Prewashed = true } }, CautionKind.Item },
        { "unless a scrap of it survives", f => f with { Cloth = ClothOf("wool-felt") with { Prewashed = true } }, CautionKind.Item },
        { "acid-free", f => f with { Worn = f.Worn with { Lasts = "keepsake", Washed = "by-hand" } }, CautionKind.Item },
        { "leave them off anything for children under three", f => f with { Worn = f.Worn with { Wearer = "child" } }, CautionKind.Person },
        { "could come off and be swallowed", f => f with { Worn = f.Worn with { Wearer = "baby" } }, CautionKind.Person },
        { "every stranger", f => f with { SeenOutdoors = true, Worn = f.Worn with { Wearer = "child" }, Texts = ["Zoë Alder"] },
            CautionKind.Person },
    };

    [Theory]
    [MemberData(nameof(Rules))]
    public void Each_stands_where_it_arises_and_nowhere_else(string said, Func<CautionFacts, CautionFacts> arises, CautionKind kind)
    {
        Assert.DoesNotContain(CautionRoom.Of(Calm), c => c.Text.Contains(said, StringComparison.Ordinal));
        Assert.Equal(kind, Assert.Single(CautionRoom.Of(arises(Calm)), c => c.Text.Contains(said, StringComparison.Ordinal)).Kind);
    }

    /// <summary>Needles are counted out and in whatever is made; where nothing else arises nothing else is said.</summary>
    [Fact]
    public void Needles_are_always_counted() => Assert.StartsWith("Count needles", Assert.Single(CautionRoom.Of(Calm)).Text,
        StringComparison.Ordinal);

    /// <summary>A child's full name: two words with capitals, outside, on a child's thing (common practice).</summary>
    [Theory]
    [InlineData("Zoë Alder", "child", true, true)]
    [InlineData("Zoë\nAlder", "baby", true, true)]
    [InlineData("Zoë alder", "child", true, false)]
    [InlineData("Zoë", "child", true, false)]
    [InlineData("Zoë Alder", "adult", true, false)]
    [InlineData("Zoë Alder", "child", false, false)]
    [InlineData("  Zoë   ", "child", true, false)]
    public void A_full_name_is_told_of_where_strangers_read_it(string words, string wearer, bool outdoors, bool told) => Assert.Equal(
        told, CautionRoom.Of(Calm with { Texts = [words], SeenOutdoors = outdoors, Worn = Calm.Worn with { Wearer = wearer } }).Any(c =>
            c.Text.Contains("every stranger", StringComparison.Ordinal)));

    /// <summary>
    /// An ink that fades or washes is no reason for a caution while it is not on the cloth: on film it goes with the film.
    /// </summary>
    [Fact]
    public void Ink_on_film_is_not_on_the_cloth() => Assert.All(
        Inks.All, ink => Assert.Single(CautionRoom.Of(Calm with { Marker = ink, MarksCloth = false })));

    /// <summary>
    /// A caution is heeded where it counts: the iron's at the iron, the mark's where it is drawn, and none is lost, on every form.
    /// </summary>
    [Fact]
    public void Each_hangs_on_the_operations_it_is_for()
    {
        foreach (var form in Catalogue.Forms)
        {
            var plan = Samples.Plan(Samples.On(form.Id, "o"));
            var told = plan.Cautions.Select(c => c.Id).ToHashSet(StringComparer.Ordinal);
            var heeded = plan.Work.SelectMany(o => o.Cautions!.Select(c => (Operation: o, Caution: c))).ToArray();
            Assert.True(told.SetEquals(heeded.Select(h => h.Caution)), form.Id);
            Assert.All(heeded.Where(h => h.Caution is "iron" or "no-iron-before-the-marks-are-out"),
                h => Assert.NotNull(h.Operation.Iron));
            Assert.All(heeded.Where(h => h.Caution == "needles"), h => Assert.Contains(h.Operation.Kind,
                new[] { Core.Operations.OpKind.Stitch, Core.Operations.OpKind.Sew }));
            Assert.All(heeded.Where(h => h.Caution == "test-the-ink"), h => Assert.Equal(Core.Operations.OpKind.Mark, h.Operation.Kind));
        }
    }
}
