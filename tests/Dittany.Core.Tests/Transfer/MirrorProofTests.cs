using Dittany.Core.Tests.Materials;
using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Transfer;

public class MirrorProofTests
{
    /// <summary>
    /// Facts of the trade: hot iron, paper ironed on behind, and what is tacked from the wrong side are printed mirrored; film on top and
    /// tracing are not (common practice).
    /// </summary>
    [Theory]
    [InlineData("light-trace", false)]
    [InlineData("thin-cloth-trace", false)]
    [InlineData("film-traced", false)]
    [InlineData("stick-on-sheet", false)]
    [InlineData("hot-iron", true)]
    [InlineData("coated-paper", true)]
    [InlineData("cut-out", false)]
    [InlineData("carbon", false)]
    [InlineData("prick-and-pounce", false)]
    [InlineData("tissue", false)]
    [InlineData("tacked-from-back", true)]
    public void Each_method_composes_to_what_the_trade_knows(string id, bool mirrored)
    {
        var method = Methods.Find(id)!;
        var chain = Methods.ChainWith(method, method.Markers[0]);
        Assert.Equal(mirrored, MirrorProof.PrintMirrored(chain));
        Assert.True(MirrorProof.ReadsRight(chain, mirrored));
        Assert.False(MirrorProof.ReadsRight(chain, !mirrored));
    }

    /// <summary>
    /// A line drawn with a transfer pencil is mirrored too: it turns whatever it is used with once, and hot iron has that turn already.
    /// </summary>
    [Fact]
    public void A_transfer_pencil_turns_once_more()
    {
        foreach (var method in Methods.All.Where(m => m.Chain.Count > 0))
        {
            var plain = MirrorProof.PrintMirrored(method.Chain);
            var pencilled = MirrorProof.PrintMirrored(Methods.ChainWith(method, "transfer-pencil"));
            Assert.Equal(method.Id == "hot-iron" ? plain : !plain, pencilled);
        }
    }

    /// <summary>
    /// Which method a maker takes (common practice): light through pale linen, film on dark cloth, no soaking of wool felt, no drawn line
    /// on terry.
    /// </summary>
    [Theory]
    [InlineData("linen", "#f6f3ea", "light-trace")]
    [InlineData("linen", "#20242c", "film-traced")]
    [InlineData("half-linen", "#f1ede2", "film-traced")]
    [InlineData("cotton-jersey", "#8fa5c0", "film-traced")]
    [InlineData("terry", "#f6f3ea", "film-traced")]
    [InlineData("wool-felt", "#b04040", "tissue")]
    public void Rules_choose_as_a_maker_would(string cloth, string colour, string method)
    {
        var facts = new TransferFacts(ThreadAndHoopTests.ClothOf(cloth, colour), ["window", "ink-jet", "iron"], 15, 1);
        Assert.Equal(method, Decisions.RuleTable.Judge(Methods.All.Select(m => m.Id).ToArray(), MethodRules.All, facts)[0].ChoiceId);
    }

    [Fact]
    public void Every_rule_has_a_source_and_names_a_method()
    {
        Assert.All(MethodRules.All, rule =>
        {
            Assert.NotNull(Methods.Find(rule.ChoiceId));
            Assert.Contains(rule.Source, new[] { "common practice", "from memory", "ISO 3758" });
        });
    }
}
