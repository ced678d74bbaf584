using System.Diagnostics;
using System.Globalization;
using Dittany.Core.Sayings;

namespace Dittany.Core.Tests.Sayings;

/// <summary>Ten thousand made sayings: each means what it was made from, or is asked about; none is silently something else.</summary>
[Trait("Lane", "long")]
public class MadeSayingsTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    /// <summary>Of so many one may be asked about although it was understood.</summary>
    private const double MostAskedNeedlessly = 0.03;

    /// <summary>At least so many are understood without being asked about.</summary>
    private const double LeastRight = 0.97;

    private const int Made = 10_000;

    [Fact]
    public void Made_sayings_mean_what_they_were_made_from_or_are_asked_about()
    {
        var (silent, needless, right) = (new List<string>(), new List<string>(), 0);
        var grammar = new SayingGrammar(31);
        for (var i = 0; i < Made; i++)
        {
            var made = grammar.Make();
            var heard = SayingParser.Read(made.Said, Monday);
            var wrong = Wrong(made, heard);
            var asked = Told.Asked(heard).Count > 0;
            if (wrong is null && asked)
            {
                needless.Add($"{made.Said} ? {Told.Asked(heard)[0].Asks}");
            }
            else if (wrong is not null && !asked)
            {
                silent.Add($"{made.Said} ! {wrong}");
            }
            else if (wrong is null)
            {
                right++;
            }

            if (i % 20 == 0)
            {
                HandSayingsTests.Whole(made.Said, heard);
            }
        }

        Assert.True(silent.Count == 0, $"{silent.Count} silently wrong:\n{string.Join('\n', silent.Take(60))}");
        Assert.True(needless.Count <= Made * MostAskedNeedlessly, $"{needless.Count} asked needlessly:\n{string.Join('\n', needless.Take(60))}");
        Assert.True(right >= Made * LeastRight, $"{right} of {Made} right");
    }

    /// <summary>What differs between what a saying was made from and what was heard; null where nothing does.</summary>
    private static string? Wrong(MadeSaying made, Heard heard)
    {
        (string Of, string? Made, string? Heard)[] whole =
        [
            ("form", made.Form, heard.Form), ("size", made.Size, heard.Size), ("cloth colour", made.ClothColour, heard.ClothColour), ("cloth", made.Cloth, heard.Cloth), ("day", made.Day, heard.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)),
            ("whom", made.Whom, heard.Whom), ("hand", made.Hand, heard.Hand), ("choices", made.Choice, heard.Overrides.Count == 0 ? null : string.Join(", ", heard.Overrides.Select(o => $"{o.Key} {o.Choice}"))),
        ];
        var elements = heard.Elements.SelectMany(e => e.Beside is { } motif ? [e, new SaidElement(null, motif) { Zone = e.Zone,
            Colour = made.Elements.Any(m => m.Motif == motif && m.Colour is not null) ? e.Colour : null }] : new[] { e }).ToArray();
        string Line(string? text, string? motif, params object?[] rest) => string.Join('/', new[] { text, motif }.Concat(rest.Select(r =>
            Convert.ToString(r, CultureInfo.InvariantCulture))));
        var was = made.Elements.Select(e => Line(e.Text, e.Motif, e.Count, e.Way, e.Stitch, e.Fill, e.Strands, e.Colour, e.Thread, e.Style,
            e.HighMm, e.WideMm, e.Rows, e.Craft, e.Zone, e.Part)).Order(StringComparer.Ordinal);
        var now = elements.Select(e => Line(e.Text, e.Motif, e.Count, e.Arrangement, e.Stitch, e.Fill, e.Strands, e.Colour, e.Thread,
            e.Style, e.HeightMm, e.WidthMm, e.Rows, e.Craft, e.Zone,
            e.Parts.Count == 0 ? null : string.Join(", ", e.Parts.Select(p => $"{p.Role} {p.Stitch ?? p.Colour}")))).Order(StringComparer.Ordinal);
        return whole.FirstOrDefault(w => w.Made != w.Heard) is { Of: { } of, Made: var m, Heard: var h } ? $"{of}: {m} became {h}"
            : string.Join(" + ", was) is var a && string.Join(" + ", now) is var b && a != b ? $"{a} became {b}" : null;
    }
}
