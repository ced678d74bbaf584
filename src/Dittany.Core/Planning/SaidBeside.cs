using System.Text.RegularExpressions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Time;

namespace Dittany.Core.Planning;

/// <summary>
/// What a saying says beside words, item and day: stitch, thread, width or height, whom it is for; and what has to be asked about.
/// </summary>
internal sealed partial class SaidBeside
{
    /// <summary>Words for colours that are none of ours: asked about, and never lettered behind “in”.</summary>
    private static readonly string[] OtherColours =
    [
        "purple", "gold", "golden", "silver", "teal", "turquoise", "aqua", "beige", "copper", "bronze", "coral", "peach", "maroon", "burgundy", "khaki", "plum",
    ];

    /// <summary>The thread of ours that a plain word for a colour means.</summary>
    private static readonly Dictionary<string, string> PlainColours = new(StringComparer.OrdinalIgnoreCase)
    {
        ["red"] = "poppy",
        ["green"] = "leaf",
        ["blue"] = "indigo",
        ["navy"] = "indigo",
        ["yellow"] = "sunflower",
        ["pink"] = "rose",
        ["white"] = "chalk",
        ["brown"] = "peat",
        ["grey"] = "slate",
        ["gray"] = "slate",
    };

    private readonly List<string> _questions = [];

    private string? Stitch { get; set; }

    private string? Thread { get; set; }

    private string? ThreadKindId { get; set; }

    private double? WidthMm { get; set; }

    private double? CapHeightMm { get; set; }

    private string? Whom { get; set; }

    public string? Fill { get; private set; }

    /// <summary>What was said of parts of a motif.</summary>
    public IReadOnlyList<PartAsked> Parts { get; private set; } = [];

    /// <summary>What it is to be made in where that is not thread.</summary>
    public string? Craft { get; private set; }

    public bool Unsewn { get; private set; }

    private MakeUp? MakeUp { get; set; }

    public void Ask(string question) => _questions.Add(question);

    public Understood In(Understood heard) => heard with
    {
        Stitch = Stitch,
        Thread = Thread,
        ThreadKindId = ThreadKindId,
        WidthMm = WidthMm,
        CapHeightMm = CapHeightMm,
        For = Whom,
        Unsewn = Unsewn,
        Fill = Fill,
        Craft = Craft,
        MakeUp = MakeUp,
        Parts = Parts,
        Questions = _questions.Count == 0 ? heard.Questions : [.. heard.Questions, .. _questions]
    };

    /// <summary>Takes out of a saying what can stand anywhere in it.</summary>
    public static SaidBeside Take(ref string text)
    {
        var beside = new SaidBeside();
        beside.TakeMakeUp(ref text);
        beside.TakeSize(ref text);
        beside.TakeParts(ref text);
        beside.TakeStitch(ref text);
        beside.TakeThreadKind(ref text);
        beside.TakeThread(ref text);
        beside.TakeCraft(ref text);
        beside.TakeUnsewn(ref text);
        return beside;
    }

    /// <summary>Whom it is for and from whom, behind the item.</summary>
    public void Addressee(ref string left, DateOnly today)
    {
        var whom = Whose().Match(left);
        if (whom.Success && SaidDay.Read(whom.Value.Trim().TrimStart(',').Trim(), today) is null)
        {
            Whom = whom.Value.Trim().TrimStart(',').Trim();
            left = left.Remove(whom.Index, whom.Length).Trim().Trim(',').Trim();
        }
    }

    /// <summary>The same where there is no item: only behind a comma, for “Tea for two” is a wording.</summary>
    public void AddresseeAfterComma(ref string left, DateOnly today)
    {
        var comma = left.IndexOf(',', StringComparison.Ordinal);
        if (comma > 0)
        {
            var (before, after) = (left[..comma], left[(comma + 1)..].Trim());
            var was = after;
            Addressee(ref after, today);
            left = after == was ? left : $"{before}{(after.Length > 0 ? ", " : string.Empty)}{after}".Trim();
        }
    }

    /// <summary>
    /// For a bowl or a frame of so much, or with a frayed edge; the item that goes with it is put in its place where none is named.
    /// </summary>
    private void TakeMakeUp(ref string text)
    {
        if (Bowl().Match(text) is { Success: true } bowl && Mm(bowl, "n") is { } across)
        {
            MakeUp = new MakeUp("gathered-round", across);
            text = In(text, bowl, "pin ?cushion", "pin cushion");
        }
        else if (Frame().Match(text) is { Success: true } frame && Mm(frame, "n") is { } wide && Mm(frame, "m") is { } high)
        {
            MakeUp = new MakeUp("framed", null, wide, high);
            text = In(text, frame, "framed sampler", "framed sampler");
        }
        else if (FrayedEdges().Match(text) is { Success: true } frayed)
        {
            MakeUp = new MakeUp(MakeUp.Frayed);
            text = Without(text, frayed);
        }

        static double? Mm(Match found, string group) => Tape.Read($"{found.Groups[group].Value} {found.Groups["unit"].Value}") is { } mm
            ? Math.Round(mm, 1) : null;

        static string In(string text, Match found, string item, string named) => Regex.IsMatch(text, item, RegexOptions.IgnoreCase
            | RegexOptions.CultureInvariant, TimeSpan.FromSeconds(1)) ? Without(text, found)
            : text.Remove(found.Index, found.Length).Insert(found.Index, $" on a {named}");
    }

    private void TakeSize(ref string text)
    {
        foreach (var found in Sized().Matches(text).Reverse())
        {
            if (Tape.Read($"{found.Groups["n"].Value} {found.Groups["unit"].Value}") is not { } mm)
            {
                continue;
            }

            if (found.Groups["way"].Value.ToLowerInvariant() is "wide" or "across" or "broad")
            {
                WidthMm = Math.Round(mm, 1);
            }
            else
            {
                CapHeightMm = Math.Round(mm, 1);
            }

            text = Without(text, found);
        }

        if (WidthMm is not null && CapHeightMm is not null)
        {
            Ask("A width and a height were said, and one follows from the other: the width is taken.");
            CapHeightMm = null;
        }
    }

    /// <summary>
    /// What people say for a craft, in small letters: with a capital it is part of a name or a wording.
    /// </summary>
    private static readonly (string Craft, string Words)[] CraftsSaid =
    [
        ("paint", "spray-?painted|painted|sprayed|stencill?ed|in (?:spray )?paint|through a stencil|with a stencil"),
        ("beads", "beaded|(?:worked |made |sewn )?in (?:glass )?beads|with beads sewn on|in sequins|sequinned"),
        ("felt", "needle-?felted|felted|in felted wool|in needle felt"),
        ("applique", "appliqu[eé]d?|in felt|of felt|cut from felt|with felt shapes|in appliqu[eé]"),
        ("tint", "pencil-?tinted|tinted(?: with pencils?| in pencil)?|coloured (?:in )?with pencils?|in coloured pencil"),
    ];

    private void TakeCraft(ref string text)
    {
        foreach (var (craft, words) in CraftsSaid)
        {
            var found = Regex.Match(text, $@"(?<=^|[\s,])(?:{words})(?=$|[\s,])", RegexOptions.CultureInvariant, TimeSpan.FromSeconds(1));
            if (!found.Success)
            {
                continue;
            }

            if (Craft is not null)
            {
                Ask($"Two crafts were said: {Crafts.AllCrafts.Find(Craft).Sure().Name.ToLowerInvariant()} is taken.");
                return;
            }

            Craft = craft;
            text = Without(text, found);
        }
    }

    /// <summary>A part by its name behind what is put on the item: leaves in green, six strands.</summary>
    private void TakeParts(ref string text)
    {
        // Behind a comma or “with”: what stands first is put on the item itself.
        var whole = text;
        foreach (var found in OfPart.Matches(text).Where(m => whole[..m.Index].TrimEnd().EndsWith(',')
            || m.Value.StartsWith("with", StringComparison.OrdinalIgnoreCase) || m.Value.StartsWith("and", StringComparison.OrdinalIgnoreCase))
            .Reverse())
        {
            var (name, role) = (found.Groups["name"].Value, RolesSaid[found.Groups["role"].Value.ToLowerInvariant()]);
            var stitch = StitchOf(name);
            var colour = stitch is null ? ColourOf(name) : null;
            if (stitch is null && colour is null)
            {
                continue;
            }

            var strands = StrandsOf(found.Groups["n"].Value);
            if (strands is { } n && !Bundle.Is(n))
            {
                Ask($"A thread cannot be {Say.Count(n, "strand")} thick: for the {role.Replace('-', ' ')} the plan takes what suits it.");
                strands = null;
            }

            Parts = [new PartAsked(role, null, stitch, strands, colour?.Hex), .. Parts];
            text = Without(text, found);
        }
    }

    private static string? StitchOf(string said)
    {
        var id = said.ToLowerInvariant().Replace(' ', '-');
        return id is "beads" or "glass-beads" ? BeadedParts.Stitch : Book.Fill(id)?.Info.Id ?? Book.Lines.FirstOrDefault(s => s.Id == id || s.Id == $"{id}stitch" || s.Id == $"{id}-stitch")?.Id;
    }

    private static ThreadColour? ColourOf(string said) => Palette.Colours.FirstOrDefault(c =>
        string.Equals(c.Name, said, StringComparison.OrdinalIgnoreCase) || string.Equals(c.Id, said, StringComparison.OrdinalIgnoreCase))
        ?? (PlainColours.TryGetValue(said, out var plain) ? Palette.Find(plain) : null);

    private static int? StrandsOf(string said) => Array.IndexOf(Numbers, said.ToLowerInvariant()) is >= 0 and var at ? at + 1
        : int.TryParse(said, System.Globalization.CultureInfo.InvariantCulture, out var n) ? n : null;

    private static readonly string[] Numbers = ["one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven",
        "twelve"];

    /// <summary>What parts of our motifs are called, one or several of them.</summary>
    private static readonly Dictionary<string, string> RolesSaid = Motifs.MotifLibrary.All.SelectMany(m =>
        m.Draw(new Motifs.MotifShape(m.Counted?.Most)).Parts).Select(p => p.Role).Where(r => r != "outline").Distinct(StringComparer.Ordinal)
        .SelectMany(r => new[] { r.Replace('-', ' '), Say.Many(r.Replace('-', ' ')) }.Select(said => (said, r)))
        .Append(("center", "centre")).DistinctBy(r => r.Item1).ToDictionary(r => r.Item1, r => r.Item2, StringComparer.Ordinal);

    private static readonly Regex OfPart = new(
        $@"(?<=[\s,])(?:(?:with|and)\s+)?(?:the\s+|its\s+|their\s+)?(?<role>{string.Join('|', RolesSaid.Keys.OrderByDescending(r => r.Length))})"
            + @"\s+in\s+(?<name>[\p{L}]+(?:[ -][\p{L}]+){0,3}?)(?:\s+(?:stitch|thread|cotton|floss))?"
            + @"(?:,?\s+(?:with\s+)?(?<n>one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|\d{1,2})\s+strands?)?"
            + @"(?=,|\s+(?:and|on|onto|for)\s|\s*$)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, TimeSpan.FromSeconds(1));

    private void TakeStitch(ref string text)
    {
        foreach (var found in InStitch().Matches(text).Reverse())
        {
            var said = found.Groups["name"].Value.ToLowerInvariant().Replace(' ', '-');
            if (Book.Lines.FirstOrDefault(s => s.Id == said || s.Id == $"{said}stitch" || s.Id == $"{said}-stitch") is { } drawn)
            {
                Stitch = drawn.Id;
            }
            else if (Book.Fill(said) is { } fill)
            {
                Fill = fill.Info.Id;
            }
            else if (Book.NotYetDrawn.Contains(said, StringComparer.Ordinal))
            {
                Ask($"{Say.Upper(found.Groups["name"].Value)} stitch cannot be drawn yet: the plan takes what suits the height, and says "
                    + $"so.");
            }
            else
            {
                Ask($"There is no “{found.Groups["name"].Value} stitch” in the book: {Say.List(Book.Lines.Select(s => s.Name).ToArray())} "
                    + $"are.");
            }

            text = Without(text, found);
        }
    }

    /// <summary>
    /// What people say for a kind of thread, in small letters, behind “in” or “with”; after a colour too: in moss pearl cotton 8.
    /// </summary>
    private static readonly (string Kind, string Words)[] ThreadsSaid =
    [
        ("pearl-5", @"pearl(?: cotton)?(?: no\.?| size)? ?5"),
        ("pearl-8", @"pearl(?: cotton)?(?: no\.?| size)? ?8|pearl cotton"),
        ("pearl-12", @"pearl(?: cotton)?(?: no\.?| size)? ?12"),
        ("wool-blend", "wool blend|blended wool"),
        ("wool", "crewel wool|wool(?: thread| yarn)?"),
        ("metallic", "metallic(?: thread)?"),
        ("variegated", "variegated(?: cotton| thread)?"),
        ("sewing", "sewing thread"),
        ("strong", "strong thread"),
        ("cotton", "stranded cotton"),
    ];

    private void TakeThreadKind(ref string text)
    {
        foreach (var (kind, words) in ThreadsSaid)
        {
            if (Said(text, string.Empty, words) is { Success: true } plain)
            {
                (ThreadKindId, text) = (kind, Without(text, plain));
                return;
            }

            if (Said(text, @"(?<colour>[\p{L}]+(?: [\p{L}]+)?)\s+", words) is { Success: true } found
                && ColourOf(found.Groups["colour"].Value) is not null)
            {
                (ThreadKindId, text) = (kind, text.Remove(found.Index, found.Length).Insert(found.Index, $"in {found.Groups["colour"].Value}"));
                return;
            }
        }

        static Match Said(string text, string colour, string words) => Regex.Match(text,
            $@"(?<=^|[\s,])(?:in|with|using)\s+{colour}(?:{words})(?=$|,|\s+(?:on|onto|for|inside|in)\s)",
            RegexOptions.CultureInvariant | RegexOptions.ExplicitCapture, TimeSpan.FromSeconds(1));
    }

    private void TakeThread(ref string text)
    {
        foreach (var found in InColour().Matches(text).Reverse())
        {
            var said = found.Groups["colour"].Value.ToLowerInvariant();
            if (ColourOf(said) is { } ours)
            {
                Thread = ours.Hex;
                if (PlainColours.ContainsKey(said))
                {
                    Ask($"“{found.Groups["colour"].Value}” is taken as {ours.Name}: another can be chosen on the bench.");
                }
            }
            else if (OtherColours.Contains(said, StringComparer.Ordinal))
            {
                Ask($"There is no thread called “{found.Groups["colour"].Value}”: choose the nearest on the bench.");
            }
            else
            {
                continue;
            }

            text = Without(text, found);
        }
    }

    private void TakeUnsewn(ref string text)
    {
        if (NotSewn().Match(text) is { Success: true } found)
        {
            Unsewn = true;
            text = Without(text, found);
        }
    }

    private static string Without(string text, Match found) =>
        Blanks().Replace(text.Remove(found.Index, found.Length), " ").Replace(" ,", ",",
        StringComparison.Ordinal).Trim().TrimEnd(',').Trim();

    [GeneratedRegex(
        @"(?:^|(?<=[\s,]))(?:about\s+)?(?<n>\d{1,4}(?:[.,]\d{1,2})?(?:\s+\d/\d{1,2})?)\s*(?<unit>cm|mm|in|inch|inches|"")\s+(?<way>wide|across|broad|high|tall)(?!\w)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Sized();

    [GeneratedRegex(
        @"(?:^|(?<=[\s,]))(?:in|with|using)\s+(?<name>(?:whipped |laced )?backstitch|couching|linked chain line|[\p{L}]+(?:[ -][\p{L}]+){0,2}?(?=\s+stitch))(?:\s+stitch(?:es)?)?(?!\w)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex InStitch();

    [GeneratedRegex(
        @"(?:^|(?<=[\s,]))in\s+(?<colour>(?:leaf |poppy |shell |chalk |pale |peat |sunflower |fox |hazel |berry |cherry |lavender |cornflower |sea |moss |fir |grass |stone |night )?[\p{L}]+)(?:\s+(?:thread|cotton|floss))?(?=\s+(?:on|onto|for|inside|in)\s|,|\s*$)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex InColour();

    [GeneratedRegex(@"(?:^|(?<=[\s,])),?\s*(?:for\s+(?![\d])[^,]+?(?:,?\s+from\s+[^,]+)?|from\s+[^,]+)\s*$",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Whose();

    [GeneratedRegex(
        @"(?:^|(?<=[\s,])),?\s*(?:(?:which|that)(?:’s|'s|\s+is)\s+|still\s+)?(?:not\s+(?:yet\s+)?(?:sewn|stitched|made)(?:\s+(?:up|together))?(?:\s+yet)?|unsewn|(?:still\s+)?in\s+pieces|before\s+it\s+is\s+(?:sewn|made)(?:\s+up|\s+together)?)(?!\w)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex NotSewn();

    private const string Number = @"\d{1,4}(?:[.,]\d{1,2})?(?:\s+\d/\d{1,2})?";

    [GeneratedRegex($@",?\s+(?:in|for)\s+(?:an?|my|the)\s+(?:wooden\s+)?bowl\s+(?:of\s+)?(?<n>{Number})\s*(?<unit>cm|mm|in|inch|inches|"")(?:\s+(?:across|wide))?(?!\w)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Bowl();

    [GeneratedRegex($@",?\s+(?:in|for)\s+(?:an?|my|the)\s+frame\s+(?:(?:with\s+an\s+opening\s+)?of\s+|that\s+opens\s+)?(?<n>{Number})\s*(?:[x×]|by)\s*(?<m>{Number})\s*(?<unit>cm|mm|in|inch|inches|"")(?!\w)",
        RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Frame();

    [GeneratedRegex(@",?\s+with\s+(?:an?\s+)?(?:frayed|fringed)\s+(?:edges?|hems?)(?!\w)", RegexOptions.IgnoreCase | RegexOptions.ExplicitCapture,
        1000)]
    private static partial Regex FrayedEdges();

    [GeneratedRegex(@"[ \t]{2,}", RegexOptions.ExplicitCapture, 1000)]
    private static partial Regex Blanks();
}
