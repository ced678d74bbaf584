using Dittany.Core.Measures;

namespace Dittany.Core.Tests.Measures;

/// <summary>
/// Sentences with lengths in them as values: as they were written, on a tape of centimetres, and on one of inches (25.4 mm, divided into
/// sixteenths).
/// </summary>
public class ToldTests
{
    public static TheoryData<string, string, string, string> Sentences()
    {
        var data = new TheoryData<string, string, string, string>();
        Add($"{Say.Length(70)} above the hem", "70 mm above the hem", "70 mm above the hem", "2 3/4 in above the hem");
        Add($"{Say.Length(114)} wide, {Say.Span(11, " to ", 16)} high.", "114 mm wide, 11 to 16 mm high.",
            "11.4 cm wide, 11 to 16 mm high.", "4 1/2 in wide, 7/16 to 5/8 in high.");
        Add($"A line of {Say.Length(0.77)} leaves it by {Say.Length(0.23)}.", "A line of 0.77 mm leaves it by 0.23 mm.",
            "A line of 0.77 mm leaves it by 0.23 mm.", "A line of 0.77 mm leaves it by 0.23 mm.");
        Add($"{Say.SpanCm(50, " × ", 70)}", "50 × 70 cm", "50 × 70 cm", "19 11/16 × 27 9/16 in");
        Add($"{Say.Length(1200)} of thread in {Say.Cm(45)} lengths", "1.2 m of thread in 45 cm lengths",
            "1.2 m of thread in 45 cm lengths", "47 1/4 in of thread in 17 11/16 in lengths");
        Add($"between {Say.Span(20, " and ", 20.5)}", "between 20 and 20.5 mm", "between 20 and 20.5 mm", "between 20 and 20.5 mm");
        Add($"“Run 100 m”, {Say.Length(260)} from the hem, {3} marks, 12 min", "“Run 100 m”, 260 mm from the hem, 3 marks, 12 min",
            "“Run 100 m”, 26 cm from the hem, 3 marks, 12 min", "“Run 100 m”, 10 1/4 in from the hem, 3 marks, 12 min");
        return data;

        void Add(Told told, string written, string centimetres, string inches) =>
            data.Add(told.ToString(), told.In(Units.Centimetres), told.In(Units.Inches), $"{written}|{centimetres}|{inches}");
    }

    [Theory]
    [MemberData(nameof(Sentences))]
    public void Lengths_are_told_in_her_units_and_words_are_left_alone(string written, string centimetres, string inches, string wanted) =>
        Assert.Equal(wanted, $"{written}|{centimetres}|{inches}");

    /// <summary>
    /// What is told within something told keeps its lengths, a capital at its beginning too, and what is told alike is equal.
    /// </summary>
    [Fact]
    public void What_is_told_can_be_told_on()
    {
        Told inner = $"a stitch of {Say.Length(25.4)}";
        Told outer = $"{inner} and {inner}";
        Assert.Equal("A stitch of 1 in and a stitch of 1 in", outer.Upper().In(Units.Inches));
        Assert.Equal("A stitch of 25.4 mm", Say.Upper(inner));
        Assert.True(inner == "a stitch of 25.4 mm" && inner != outer);
        Assert.Equal(inner.GetHashCode(), ((Told)"a stitch of 25.4 mm").GetHashCode());
    }
}
