using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Planning;
using Dittany.Core.Sayings;
using Dittany.Core.Words;

namespace Dittany.Core.Tests.Sayings;

/// <summary>Changes as they are said at the bench: what they are of, what it becomes, and that all else stays.</summary>
public class ChangeTests
{
    private static readonly DateOnly Monday = new(2027, 3, 1);

    /// <summary>“Ida” in rust, three daisies and an owl on a T-shirt, with “Mum” beside a heart on the sleeve.</summary>
    private static readonly Job Piece = new("t-shirt-adult",
        [new TextElement("name", "Ida", Colour: "#a4472a"), new TextElement("words-2", "Mum", Motif: "heart") { Zone = "sleeve" }, new MotifElement("motif", "daisy", Arrangement: "row", Count: 3), new MotifElement("motif-2", "owl")], Monday);

    private static readonly Lazy<Plan> Planned = new(() => Planner.Make(Piece, Workshop.Default, Library.Ours));

    [Theory]
    [InlineData("make the petals satin", "motif parts petal satin")]
    [InlineData("petals in yellow", "motif parts petal sunflower yellow")]
    [InlineData("the centre in beads", "motif parts centre bead")]
    [InlineData("the petals in two strands of red", "motif parts petal poppy red 2")]
    [InlineData("make the owl blue", "motif-2 colour indigo")]
    [InlineData("Ida in split stitch", "name stitch split")]
    [InlineData("Ida in chain stitch, 3 strands", "name stitch chain; name strands 3")]
    [InlineData("the words in joined hand", "name style joined-hand; words-2 style joined-hand")]
    [InlineData("Ida in two strands", "name strands 2")]
    [InlineData("five daisies", "motif count 5")]
    [InlineData("make it seven daisies", "motif count 7")]
    [InlineData("the daisies in a ring", "motif way ring")]
    [InlineData("scatter the daisies", "motif way scatter")]
    [InlineData("without the owl", "motif-2 gone")]
    [InlineData("remove the daisies", "motif gone")]
    [InlineData("take the heart away", "words-2 beside gone")]
    [InlineData("change Ida to Otto", "name text Otto")]
    [InlineData("“Ada” instead of Ida", "name text Ada")]
    [InlineData("the owl 4 cm high", "motif-2 high 40")]
    [InlineData("make Ida 8 cm wide", "name wide 80")]
    [InlineData("the owl on the back", "motif-2 zone back")]
    [InlineData("move the daisies to the sleeve", "motif zone sleeve")]
    [InlineData("ironed on", "choice transfer.method hot-iron")]
    [InlineData("in a 5 inch hoop", "choice hoop.size 127")]
    [InlineData("without a hoop", "choice hoop.school in-hand")]
    [InlineData("by Friday", "day 2027-03-05")]
    [InlineData("add a star", "motif-1 added star")]
    [InlineData("add two bees", "motif-1 added bee 2")]
    [InlineData("the owl painted", "motif-2 craft paint")]
    [InlineData("Ida in wool", "name thread wool")]
    [InlineData("make the owl a fox", "motif-2 motif fox-face")]
    [InlineData("the owl in fishbone stitch", "choice stitch.fill:motif-2 fishbone")]
    public void A_change_is_what_was_said_and_all_else_stays(string said, string changes)
    {
        var heard = Heard(said);
        Assert.NotNull(heard.Edit);
        var now = heard.Edit(Piece);
        Assert.Equal(changes, string.Join("; ", Differences(Piece, now)));
        Assert.Empty(heard.Asked);
        Assert.NotEmpty(heard.Did);
        Assert.Empty(JobCheck.Faults(now, Workshop.Default, Library.Ours));
    }

    /// <summary>What is said of place and size is from where it stands in the plan.</summary>
    [Theory]
    [InlineData("Ida a bit higher", 0, -2, 1)]
    [InlineData("move Ida down", 0, 5, 1)]
    [InlineData("Ida 12 mm to the left", -12, 0, 1)]
    [InlineData("Ida much further right", 12, 0, 1)]
    [InlineData("make Ida bigger", 0, 0, 1.15)]
    [InlineData("Ida a bit smaller", 0, 0, 1 / 1.06)]
    [InlineData("make Ida 3 mm taller", 0, 0, 0)]
    public void Moving_and_growing_are_from_where_it_stands(string said, double dx, double dy, double share)
    {
        var was = Planned.Value.At(null).Elements.First(e => e.Id == "name");
        var now = Heard(said).Edit?.Invoke(Piece).Wordings[0];
        Assert.NotNull(now);
        if (dx != 0 || dy != 0)
        {
            Assert.Equal((was.CentreMm.X + dx, was.CentreMm.Y + dy, (double?)null), (now.CentreMm?.X ?? 0, now.CentreMm?.Y ?? 0,
                now.CapHeightMm), Near);
        }
        else
        {
            Assert.Equal(share > 0 ? was.CapHeightMm * share : was.CapHeightMm + 3, now.CapHeightMm ?? 0, 1);
        }
    }

    /// <summary>What cannot be understood, or is nothing here, changes nothing and says so.</summary>
    [Theory]
    [InlineData("hocus pocus")]
    [InlineData("without the petals")]
    [InlineData("remove it")]
    [InlineData("in seven strands")]
    [InlineData("hello")]
    public void What_is_not_understood_changes_nothing_and_says_so(string said)
    {
        var heard = Heard(said);
        Assert.Null(heard.Edit);
        Assert.NotEmpty(heard.Asked);
    }

    /// <summary>What is understood is done, and what is not is asked about beside it.</summary>
    [Fact]
    public void Neighbours_of_an_odd_word_keep_their_meaning()
    {
        var heard = Heard("make the owl sparkly and blue");
        Assert.Equal("motif-2 colour indigo", string.Join("; ", Differences(Piece, heard.Edit?.Invoke(Piece) ?? Piece)));
        Assert.Contains("sparkly", Assert.Single(heard.Asked).Asks, StringComparison.Ordinal);
    }

    [Fact]
    public void Nothing_said_is_nothing_asked() => Assert.Equal((null, 0, 0), Heard("  ") is var h ? (h.Edit, h.Did.Count, h.Asked.Count) : default);

    private static SaidChange Heard(string said) => ChangeParser.Read(said, Piece, Planned.Value, Monday);

    private static bool Near((double, double, double?) a, (double, double, double?) b) => Math.Abs(a.Item1 - b.Item1) < 0.06
        && Math.Abs(a.Item2 - b.Item2) < 0.06 && a.Item3 == b.Item3;

    private static IEnumerable<string> Differences(Job was, Job now)
    {
        foreach (var e in was.Wordings)
        {
            if (now.Wordings.FirstOrDefault(x => x.Id == e.Id) is not { } n)
            {
                yield return $"{e.Id} gone";
                continue;
            }

            foreach (var (name, a, b) in new (string, object?, object?)[] { ("text", e.Text, n.Text), ("stitch", e.Stitch, n.Stitch), ("strands", e.Strands, n.Strands), ("style", e.Alphabet, n.Alphabet), ("colour", e.Colour, n.Colour), ("high", e.CapHeightMm, n.CapHeightMm), ("wide", e.WidthMm, n.WidthMm), ("zone", e.Zone, n.Zone), ("thread", e.Thread, n.Thread), ("craft", e.Craft, n.Craft), ("rows", e.Rows, n.Rows), ("way", e.Arrangement, n.Arrangement), ("beside", e.Motif, n.Motif) })
            {
                if (!Equals(a, b))
                {
                    yield return $"{e.Id} {name} {Say(name, b)}";
                }
            }
        }

        foreach (var m in was.Motifs)
        {
            if (now.Motifs.FirstOrDefault(x => x.Id == m.Id) is not { } n)
            {
                yield return $"{m.Id} gone";
                continue;
            }

            foreach (var (name, a, b) in new (string, object?, object?)[] { ("motif", m.Motif, n.Motif), ("stitch", m.Stitch, n.Stitch), ("strands", m.Strands, n.Strands), ("colour", m.Colour, n.Colour), ("high", m.HeightMm, n.HeightMm), ("wide", m.WidthMm, n.WidthMm), ("zone", m.Zone, n.Zone), ("thread", m.Thread, n.Thread), ("craft", m.Craft, n.Craft), ("count", m.Count, n.Count), ("way", m.Arrangement, n.Arrangement) })
            {
                if (!Equals(a, b))
                {
                    yield return $"{m.Id} {name} {Say(name, b)}";
                }
            }

            foreach (var p in n.ByPart)
            {
                yield return $"{m.Id} parts {p.Role} {p.Stitch ?? (p.Colour is { } c ? Palette.NameOf(c) : p.Thread)}{(p.Strands is { } s ? $" {s}" : string.Empty)}";
            }
        }

        foreach (var m in now.Motifs.Where(m => was.Motifs.All(x => x.Id != m.Id)))
        {
            yield return $"{m.Id} added {m.Motif}{(m.Count is { } n ? $" {n}" : string.Empty)}";
        }

        foreach (var o in now.Overrides)
        {
            yield return $"choice {o.Key} {o.Choice}";
        }

        if (was.DueOn != now.DueOn)
        {
            yield return $"day {now.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}";
        }

        if (was.Zone != now.Zone)
        {
            yield return $"zone {now.Zone}";
        }
    }

    private static string Say(string name, object? value) => value is null ? "gone" : name == "colour" ? Palette.NameOf((string)value) : Convert.ToString(value, CultureInfo.InvariantCulture) ?? string.Empty;
}
