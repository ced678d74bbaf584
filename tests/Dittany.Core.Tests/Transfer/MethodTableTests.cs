using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Tests.Materials;
using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Transfer;

/// <summary>
/// Every transfer method against every cloth, row by row from the facts of the trade (common practice; light and heat limits from memory
/// and ISO 3758): light from behind wants a tenth of it through, thin cloth three tenths; film and sheet are soaked out; hot iron wants
/// three dots; coated paper wants two dots, flat cloth and light; carbon wants flat, firm cloth; pounce is lost in pile; deep pile takes no
/// drawn line; tissue and tacking need nothing of the cloth.
/// </summary>
public class MethodTableTests
{
    private static readonly string[] Methods =
        ["light-trace", "thin-cloth-trace", "film-traced", "stick-on-sheet", "hot-iron", "coated-paper", "cut-out", "carbon",
            "prick-and-pounce", "tissue", "tacked-from-back", "freehand"];

    /// <summary>
    /// White cloth, 45 mm capitals, a light box, an ink-jet printer and an iron at hand. + possible, . ruled out; columns in the order of
    /// the methods above.
    /// </summary>
    [Theory]
    [InlineData("lawn", "+ + + + + + + + + + + +")]
    [InlineData("quilting-cotton", "+ . + + + + + + + + + +")]
    [InlineData("linen", "+ . + + + + + + + + + +")]
    [InlineData("half-linen", "+ . + + + + + + + + + +")]
    [InlineData("canvas", ". . + + + . + + + + + +")]
    [InlineData("denim", ". . + + + . + + + + + +")]
    [InlineData("cotton-jersey", "+ . + + . + + . + + + +")]
    [InlineData("baby-interlock", "+ . + + . + + . + + + +")]
    [InlineData("rib", "+ . + + . + + . + + + +")]
    [InlineData("fleece", ". . + + . . + . . + + +")]
    [InlineData("terry", ". . + + . . . . . + + .")]
    [InlineData("waffle", "+ . + + + + + . + + + +")]
    [InlineData("wool-felt", ". . . . . . + + + + + +")]
    [InlineData("velvet", ". . . . . . . . . + + .")]
    [InlineData("satin", "+ . + + . . + + + + + +")]
    [InlineData("poplin", "+ . + + + + + + + + + +")]
    [InlineData("twill", ". . + + + . + + + + + +")]
    [InlineData("wool", ". . . . . . + + + + + +")]
    [InlineData("coated-canvas", ". . . + . . + + + . . +")]
    public void White_cloth(string cloth, string row) => Assert.Equal(row, Row(Facts(cloth, "#ffffff")));

    /// <summary>The same cloths nearly black: no light comes through and no ironed line shows; all else is as before.</summary>
    [Theory]
    [InlineData("lawn", ". . + + . . + + + + + +")]
    [InlineData("quilting-cotton", ". . + + . . + + + + + +")]
    [InlineData("linen", ". . + + . . + + + + + +")]
    [InlineData("half-linen", ". . + + . . + + + + + +")]
    [InlineData("canvas", ". . + + . . + + + + + +")]
    [InlineData("denim", ". . + + . . + + + + + +")]
    [InlineData("cotton-jersey", ". . + + . . + . + + + +")]
    [InlineData("baby-interlock", ". . + + . . + . + + + +")]
    [InlineData("rib", ". . + + . . + . + + + +")]
    [InlineData("fleece", ". . + + . . + . . + + +")]
    [InlineData("terry", ". . + + . . . . . + + .")]
    [InlineData("waffle", ". . + + . . + . + + + +")]
    [InlineData("wool-felt", ". . . . . . + + + + + +")]
    [InlineData("velvet", ". . . . . . . . . + + .")]
    [InlineData("satin", ". . + + . . + + + + + +")]
    [InlineData("poplin", ". . + + . . + + + + + +")]
    [InlineData("twill", ". . + + . . + + + + + +")]
    [InlineData("wool", ". . . . . . + + + + + +")]
    [InlineData("coated-canvas", ". . . + . . + + + . . +")]
    public void Dark_cloth(string cloth, string row) => Assert.Equal(row, Row(Facts(cloth, "#121212")));

    /// <summary>Every method and every cloth stands in the tables above.</summary>
    [Fact]
    public void The_tables_are_whole()
    {
        Assert.Equal(Core.Transfer.Methods.All.Select(m => m.Id).Order(), Methods.Order());
        foreach (var table in new[] { nameof(White_cloth), nameof(Dark_cloth) })
        {
            var rows = typeof(MethodTableTests).GetMethod(table)!.GetCustomAttributesData().Where(d =>
                d.AttributeType == typeof(InlineDataAttribute))
                .Select(d => (string)((
                    IReadOnlyList<System.Reflection.CustomAttributeTypedArgument>)d.ConstructorArguments[0].Value!)[0].Value!);
            Assert.Equal(Cloths.All.Select(c => c.Id).Order(), rows.Order());
        }
    }

    /// <summary>
    /// A lining and a made-up bag let no light through and cover the wrong side; a busy print hides a drawn or ironed line (common
    /// practice).
    /// </summary>
    [Fact]
    public void Linings_bags_and_busy_prints_rule_out_what_they_defeat()
    {
        var linen = Facts("linen", "#ffffff");
        Assert.Equal(". . + + + . + + + + . +", Row(linen with { Cloth = linen.Cloth with { Lined = true } }));
        Assert.Equal(". . + + + . + + + + + +", Row(linen with { MadeUp = true }));
        Assert.Equal(". . + + . . + + + + + .", Row(linen with { Cloth = linen.Cloth with { Busy = true } }));
    }

    /// <summary>
    /// Small letters cannot be cut out, pricked, tacked or torn free (common practice; the heights from memory, tissue under 10 mm a rule
    /// of the trade).
    /// </summary>
    [Theory]
    [InlineData(45, "+ . + + + + + + + + + +")]
    [InlineData(35, "+ . + + + + . + + + + +")]
    [InlineData(25, "+ . + + + + . + + + . +")]
    [InlineData(15, "+ . + + + + . + . + . +")]
    [InlineData(9, "+ . + + + + . + . . . +")]
    public void By_the_height_of_capitals(double cap, string row) =>
        Assert.Equal(row, Row(Facts("linen", "#ffffff") with { SmallestCapMm = cap }));

    /// <summary>
    /// By what stands in the workshop: no printer no sheet, a laser melts the coating, no iron no ironing, neither window nor box no light.
    /// </summary>
    [Theory]
    [InlineData("light-box,ink-jet,iron", "+ . + + + + + + + + + +")]
    [InlineData("window,laser,iron", "+ . + + + . + + + + + +")]
    [InlineData("window,ink-jet", "+ . + + . . + + + + + +")]
    [InlineData("iron", ". . + . + . + + + + + +")]
    [InlineData("", ". . + . . . + + + + + +")]
    public void By_what_stands_in_the_workshop(string tools, string row) =>
        Assert.Equal(row, Row(Facts("linen", "#ffffff") with { Equipment = tools.Split(',', StringSplitOptions.RemoveEmptyEntries) }));

    /// <summary>Whatever is ruled out says why, and whatever stands says what speaks for it.</summary>
    [Fact]
    public void Every_verdict_has_its_reason()
    {
        foreach (var cloth in Cloths.All)
        {
            Assert.All(Judge(Facts(cloth.Id, "#8fa58a")), j => Assert.NotEmpty(j.Because));
        }
    }

    private static TransferFacts Facts(string cloth, string colour) =>
        new(ThreadAndHoopTests.ClothOf(cloth, colour), ["light-box", "window", "ink-jet", "iron"], 45, 1);

    private static IReadOnlyList<Judged> Judge(TransferFacts facts) => RuleTable.Judge(Methods, MethodRules.All, facts);

    private static string Row(TransferFacts facts)
    {
        var judged = Judge(facts).ToDictionary(j => j.ChoiceId);
        return string.Join(' ', Methods.Select(m => judged[m].RuledOut ? '.' : '+'));
    }
}
