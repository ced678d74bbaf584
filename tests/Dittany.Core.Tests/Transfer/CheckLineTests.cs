using Dittany.Core.Transfer;

namespace Dittany.Core.Tests.Transfer;

public class CheckLineTests
{
    /// <summary>By hand: a printer that makes 97 of 100 needs 100 / 97 = 103.09 %; printed so, 97 % of it is 100 again.</summary>
    [Fact]
    public void A_printers_error_is_found_and_a_sheet_enlarged_against_it_is_true()
    {
        var first = CheckLine.Judge(97, 1);
        Assert.False(first.True);
        Assert.Equal(0.97, first.PrinterScale, 9);
        Assert.Contains("3 % too small", first.Text, StringComparison.Ordinal);
        Assert.Contains("void", first.Text, StringComparison.Ordinal);
        Assert.Contains("set to 100 %", first.Text, StringComparison.Ordinal);
        var enlarged = 1 / first.PrinterScale;
        Assert.True(CheckLine.Judge(100 * enlarged * 0.97, enlarged).True);
        Assert.Equal(0.97, CheckLine.Judge(100 * enlarged * 0.97, enlarged).PrinterScale, 9);
    }

    [Theory]
    [InlineData(99.5, true)]
    [InlineData(100.5, true)]
    [InlineData(99.4, false)]
    [InlineData(101, false)]
    public void Half_a_millimetre_is_what_a_tape_can_tell(double measured, bool isTrue) =>
        Assert.Equal(isTrue, CheckLine.Judge(measured, 1).True);

    [Theory]
    [InlineData(69)]
    [InlineData(141)]
    [InlineData(0)]
    [InlineData(double.NaN)]
    public void What_no_check_line_measures_is_not_judged(double measured)
    {
        Assert.False(CheckLine.CanBe(measured));
        Assert.Throws<ArgumentOutOfRangeException>(() => CheckLine.Judge(measured, 1));
    }

    [Fact]
    public void A_small_error_is_not_blamed_on_the_page() =>
        Assert.DoesNotContain("100 %", CheckLine.Judge(101, 1).Text, StringComparison.Ordinal);
}
