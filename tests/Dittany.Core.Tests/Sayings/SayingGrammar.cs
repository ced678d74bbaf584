using System.Globalization;

namespace Dittany.Core.Tests.Sayings;

/// <summary>What one element of a made saying is to come out as; null members were not said.</summary>
internal sealed record MadeElement(string? Text, string? Motif)
{
    public int? Count { get; set; }

    public string? Way { get; set; }

    public string? Stitch { get; set; }

    public string? Fill { get; set; }

    public int? Strands { get; set; }

    public string? Colour { get; set; }

    public string? Thread { get; set; }

    public string? Style { get; set; }

    public double? HighMm { get; set; }

    public double? WideMm { get; set; }

    public int? Rows { get; set; }

    public string? Craft { get; set; }

    public string? Zone { get; set; }

    public string? Part { get; set; }
}

/// <summary>A saying with what it means.</summary>
internal sealed record MadeSaying(string Said, IReadOnlyList<MadeElement> Elements, string Form)
{
    public string? Size { get; set; }

    public string? ClothColour { get; set; }

    public string? Cloth { get; set; }

    public string? Day { get; set; }

    public string? Whom { get; set; }

    public string? Hand { get; set; }

    public string? Choice { get; set; }
}

/// <summary>
/// Makes sayings whose meaning is known because it was there first: from words of its own, in every order a maker puts them. It shares no
/// table with the parser; what the words mean stands here a second time.
/// </summary>
internal sealed class SayingGrammar(int seed)
{
    private static readonly string[] Names = ["Emma", "Otto", "Zoë", "Rose", "Daisy", "May", "Robin", "Heather", "Star", "Linen", "Ida", "Mary Ann", "Bread & Salt", "A & B", "KLM", "T", "Little Pebble", "Lou", "Jo-Ann", "O'Hara", "HOME", "Ñuño", "Åse", "Iris", "Poppy", "Jasper", "Olive", "Clover", "Fox", "Hazel", "Violet", "Ruby", "Queen of hearts", "Made with love", "Sweet dreams", "J.R."];

    private static readonly (string Id, string One, string Many)[] Motifs = [("moon", "a moon", "moons"), ("star", "a star", "stars"), ("heart", "a heart", "hearts"), ("fox-face", "a fox", "fox faces"), ("bee", "a bee", "bees"), ("daisy", "a daisy", "daisies"), ("rabbit", "a rabbit", "rabbits"), ("songbird", "a songbird", "songbirds"),
        ("mushroom", "a mushroom", "mushrooms"), ("leaf-sprig", "a leaf sprig", "leaf sprigs"), ("acorn", "an acorn", "acorns"), ("snowflake", "a snowflake", "snowflakes"), ("owl", "an owl", "owls"), ("single-leaf", "a leaf", "leaves"), ("ladybird", "a ladybird", "ladybirds"), ("key", "a key", "keys"), ("tulip", "a tulip", "tulips"), ("poppy", "a poppy", "poppies")];

    private static readonly (string Id, string Said, (string Id, string Said)[] Zones, (string Id, string Said)[] Sizes)[] Items =
    [
        ("tote", "tote", [], [("30x35", "30 x 35")]), ("tote", "tote bag", [], []), ("tea-towel", "tea towel", [], [("45x65", "45 x 65 cm")]), ("napkin", "napkin", [], [("50x50", "50 x 50")]), ("baby-bodysuit", "bodysuit", [("tummy", "on the tummy"), ("chest", "on the chest")], [("68", "size 68"), ("80", "size 80")]),
        ("cushion-cover", "cushion cover", [("corner", "in the corner")], []), ("denim-jacket", "denim jacket", [("yoke", "on the yoke"), ("panel", "on the back")], []), ("apron", "apron", [("bib", "on the bib"), ("pocket", "on the pocket")], []), ("pillowcase", "pillowcase", [("band", "on the band")], [("80x80", "80 x 80")]),
        ("t-shirt-adult", "T-shirt", [("sleeve", "on the sleeve"), ("back", "on the back"), ("inside-neck", "inside the neck")], [("xl", "size XL")]), ("christmas-stocking", "stocking", [("cuff", "on the cuff"), ("leg", "on the leg"), ("cuff-inside", "inside the cuff")], []), ("scarf", "scarf", [], []), ("handkerchief", "handkerchief", [], []),
        ("shirt", "shirt", [("cuff", "on the cuff"), ("collar-point", "on the collar"), ("pocket", "on the breast pocket")], []), ("baby-blanket", "baby blanket", [], []), ("hoop-picture", "hoop picture", [], []), ("cap", "cap", [], []), ("backpack", "rucksack", [("pocket", "on the pocket")], []), ("drawstring-bag", "drawstring bag", [], []),
    ];

    private static readonly (string Hex, string Said)[] Threads = [("#8f3a67", "mulberry"), ("#4f7358", "leaf green"), ("#2f3f6b", "indigo"), ("#a4472a", "rust"), ("#c23b34", "red"), ("#dca32b", "yellow"), ("#d4657f", "rose"), ("#f7f4ec", "chalk white"), ("#2f5241", "dark green"), ("#7c2440", "berry red"), ("#a8cbb0", "mint"), ("#66727a", "slate")];

    private static readonly (string Hex, string Said)[] Cloths = [("#fbfaf6", "white"), ("#27303a", "dark"), ("#b9ccd4", "pale blue"), ("#d8b75a", "mustard"), ("#e6c9c4", "pink"), ("#f1ede2", "natural")];

    private static readonly (string Id, string Said)[] Lines = [("split", "in split stitch"), ("chain", "in chain stitch"), ("backstitch", "in backstitch"), ("stem", "in stem stitch"), ("whipped-backstitch", "in whipped backstitch"), ("running", "using running stitch"), ("couching", "in couching"), ("coral", "in coral stitch"), ("backstitch", "in back stitch"), ("blanket", "in buttonhole stitch"), ("heavy-chain", "in heavy chain stitch")];

    private static readonly (string Id, string Said)[] Fills = [("satin", "in satin stitch"), ("french-knot", "in French knots"), ("seed", "filled with seed stitch"), ("fishbone", "in fishbone stitch"), ("long-and-short", "in long and short stitch"), ("lattice", "in trellis")];

    private static readonly (string Id, string Said)[] Kinds = [("pearl-8", "in pearl cotton 8"), ("wool", "in crewel wool"), ("metallic", "in metallic thread"), ("variegated", "in variegated thread"), ("cotton", "in stranded cotton")];

    private static readonly (string Id, string Said)[] Styles = [("slab", "in slab"), ("sturdy-serif", "in sturdy serif"), ("joined-hand", "in joined hand"), ("bouncing-script", "in bouncing script"), ("round-sans", "in round sans letters"), ("marker-print", "in marker print")];

    private static readonly (string Id, string Said)[] Crafts = [("paint", "painted"), ("paint", "stencilled"), ("felt", "needle felted"), ("beads", "in beads"), ("applique", "in felt"), ("tint", "tinted with pencil")];

    private static readonly (string Choice, string Said)[] Choices = [("hoop.size 127", "in a 5 inch hoop"), ("hoop.school in-hand", "without a hoop"), ("transfer.method hot-iron", "ironed on"), ("transfer.method film-traced", "traced on film"), ("transfer.method stick-on-sheet", "with a stick-on sheet"), ("transfer.method freehand", "drawn freehand"), ("transfer.marker heat-erasable", "with a heat-erasable pen"), ("transfer.method carbon", "with carbon paper")];

    /// <summary>Days from Monday 1 March 2027 on.</summary>
    private static readonly (string Day, string Said)[] Days = [("2027-03-05", "for Friday"), ("2027-03-14", "for Sunday week"), ("2027-03-02", "for tomorrow"), ("2027-03-20", "by 20 March"), ("2027-03-22", "in three weeks"), ("2027-03-28", "for Easter"), ("2027-03-07", "by Sunday"), ("2027-03-14", "for 14.3."), ("2027-03-12", "by next Friday"), ("2027-03-09", "needed by 9 March")];

    private static readonly (string Whom, string Said)[] Whoms = [("for Ada", "for Ada"), ("for my sister", "for my sister"), ("for Lotte and Theo", "for Lotte and Theo"), ("for Grandad", "for Grandad")];

    private static readonly string[] Preambles = ["", "", "", "", "could you do ", "please stitch ", "I'd like ", "I want ", "can you put ", "just "];

    private static readonly (string Id, string Said)[] Ways = [("ring", "in a ring"), ("row", "in a row"), ("zigzag", "in a zigzag"), ("scatter", "scattered")];

    /// <summary>Parts of some motifs, each with what it is wished to be.</summary>
    private static readonly (string Motif, string Part, string Said)[] Parts =
    [
        ("daisy", "petal #c23b34", "with red petals"), ("daisy", "centre #dca32b", "with a yellow centre"), ("daisy", "centre bead", "with the centre in beads"), ("tulip", "leaf #a8cbb0", "with mint leaves"), ("tulip", "petal satin", ", petals in satin stitch"), ("poppy", "petal seed", ", petals in seed stitch"),
        ("poppy", "leaf fishbone", "with fishbone leaves"), ("songbird", "wing #2f3f6b", "with an indigo wing"), ("fox-face", "ear #8f3a67", "with mulberry ears"), ("songbird", "body long-and-short", ", the body in long and short stitch"), ("leaf-sprig", "leaf #2f5241", "with dark green leaves"),
    ];

    /// <summary>Items as a hurried finger writes them.</summary>
    private static readonly Dictionary<string, string> Slips = new(StringComparer.Ordinal)
    {
        ["bodysuit"] = "bodisuit",
        ["cushion cover"] = "cushon cover",
        ["napkin"] = "napkni",
        ["tea towel"] = "tea towle",
        ["pillowcase"] = "pilowcase",
        ["apron"] = "aprron",
        ["handkerchief"] = "hankerchief",
        ["stocking"] = "stockng",
        ["denim jacket"] = "denim jackt",
        ["scarf"] = "scraf",
    };

    private static readonly string[] Numbers = ["two", "three", "four", "five", "six", "seven", "8", "12"];

    private static readonly int[] Counted = [2, 3, 4, 5, 6, 7, 8, 12];

    private readonly Random _random = new(seed);

    public MadeSaying Make()
    {
        var item = One(Items);
        var places = item.Zones.Length >= 2 && Chance(0.15);
        var several = places || Chance(0.3);
        var (elements, said) = several ? Several(item.Zones, places) : Single(item.Zones.Length > 0 && Chance(0.35) ? One(item.Zones)
            : null);
        var made = new MadeSaying(string.Empty, elements, item.Id);
        var thing = Item(item, made);
        var tails = new List<string>();
        if (Chance(0.45))
        {
            (made.Day, var day) = One(Days);
            tails.Add(day);
        }

        if (Chance(0.2))
        {
            (made.Whom, var whom) = One(Whoms);
            tails.Insert(0, whom);
        }

        if (Chance(0.15))
        {
            (made.Choice, var choice) = One(Choices);
            tails.Insert(_random.Next(tails.Count + 1), choice);
        }

        if (Chance(0.05))
        {
            made.Hand = "left";
            tails.Add(", left-handed");
        }

        var zone = elements.Count == 1 && elements[0].Zone is { } named ? item.Zones.First(z => z.Id == named).Said : null;
        // Now and then the day comes first.
        var ahead = tails.Count == 1 && made.Day is not null && tails[0].StartsWith("by ", StringComparison.Ordinal) && Chance(0.4) ? $"{tails[0]}, " : string.Empty;
        if (ahead.Length > 0)
        {
            tails.Clear();
        }

        var tail = string.Concat(tails.Select(t => t.StartsWith(',') ? t : Chance(0.3) ? $", {t}" : $" {t}"));
        var preamble = ahead.Length > 0 ? ahead : One(Preambles);
        string whole;
        if (places)
        {
            whole = $"{preamble}{said} of {thing}{tail}";
        }
        else if (zone is not null)
        {
            whole = _random.Next(3) switch { 0 => $"{preamble}{said} {zone} of {thing}{tail}", 1 => $"{preamble}{said} on {thing}, {zone}{tail}", _ => $"{preamble}{thing} with {said} {zone}{tail}" };
        }
        else
        {
            whole = _random.Next(4) switch { 0 => $"{preamble}{thing} with {said}{tail}", 1 when preamble.Length == 0 => $"{thing[(thing.IndexOf(' ') + 1)..]}: {said}{tail}", 2 when Chance(0.5) => $"{preamble}{said}, on {thing}{tail}", _ => $"{preamble}{said} on {thing}{tail}" };
        }

        return made with { Said = whole };
    }

    private string Item((string Id, string Said, (string Id, string Said)[] Zones, (string Id, string Said)[] Sizes) item, MadeSaying made)
    {
        var colour = string.Empty;
        if (Chance(0.3))
        {
            (made.ClothColour, var said) = One(Cloths);
            colour = $"{said} ";
        }

        var size = string.Empty;
        if (item.Sizes.Length > 0 && Chance(0.3))
        {
            (made.Size, var said) = One(item.Sizes);
            size = Chance(0.5) ? $", {said}" : $" {said}";
            size += size.StartsWith(',') ? "," : string.Empty;
        }

        var article = Chance(0.25) ? One((string[])["my", "her", "the", "his"]) : "aeiou".Contains((colour + item.Said)[0], StringComparison.Ordinal) ? "an" : "a";
        var written = Chance(0.06) && Slips.TryGetValue(item.Said, out var slip) ? slip : item.Said;
        return $"{article} {colour}{written}{size}".TrimEnd(',');
    }

    private (List<MadeElement>, string) Single((string Id, string Said)? zone)
    {
        var element = Chance(0.55) ? new MadeElement(One(Names), null) : null;
        var said = element?.Text is { } text ? Chance(0.12) ? $"“{text}”" : text : string.Empty;
        if (element is null)
        {
            (element, said) = Motif(true);
        }

        if (element is { Text: null, Count: null } && Parts.Where(x => x.Motif == element.Motif).ToArray() is { Length: > 0 } parts
            && Chance(0.5))
        {
            (_, element.Part, var part) = One(parts);
            element.Zone = zone?.Id;
            return ([element], part.StartsWith(',') ? $"{said}{part}," : $"{said} {part}");
        }

        element.Zone = zone?.Id;
        var wishes = Wishes(element, _random.Next(4));
        return ([element], said + string.Concat(wishes.Select(w => w.StartsWith(',') ? w : Chance(0.25) ? $", {w}" : $" {w}")));
    }

    private (List<MadeElement>, string) Several((string Id, string Said)[] zones, bool places)
    {
        if (places)
        {
            var (first, second) = (new MadeElement(One(Names), null), Motif(false));
            var (a, b) = (zones[0], zones[1]);
            (first.Zone, second.Element.Zone) = (a.Id, b.Id);
            return Chance(0.5) ? ([first, second.Element], $"{first.Text} {a.Said} and {second.Said} {b.Said}") : ([second.Element, first], $"{second.Said} {b.Said}, {first.Text} {a.Said}");
        }

        var words = new MadeElement(One(Names), null);
        var (motif, said) = Motif(false);
        switch (_random.Next(5))
        {
            case 0:
                return ([words, motif], $"{words.Text} and {said}");
            case 1:
                return ([words, motif], $"{words.Text} with {said}");
            case 2:
                return ([motif, words], $"{said} and {words.Text}");
            case 3:
                var wreath = new MadeElement(null, "wreath");
                return ([words, wreath], _random.Next(3) switch { 0 => $"a wreath with {words.Text} in it", 1 => $"{words.Text} inside a wreath", _ => $"a wreath round {words.Text}" });
            default:
                (motif, said) = Motif(true);
                var (other, too) = Motif(false);
                return other.Motif == motif.Motif ? ([words, motif], $"{words.Text} and {said}") : ([motif, other], $"{said} and {too}");
        }
    }

    private (MadeElement Element, string Said) Motif(bool rich)
    {
        var (id, one, many) = One(Motifs);
        var element = new MadeElement(null, id);
        if (Chance(0.35))
        {
            var n = _random.Next(Numbers.Length);
            element.Count = Counted[n];
            var colour = string.Empty;
            if (rich && Chance(0.3))
            {
                (element.Colour, var said) = One(Threads);
                colour = $"{said} ";
            }

            if (rich && Chance(0.3))
            {
                (element.Way, var way) = One(Ways);
                return (element, $"{Numbers[n]} {colour}{many} {way}");
            }

            return (element, $"{Numbers[n]} {colour}{many}");
        }

        if (Chance(0.25))
        {
            (element.Colour, var said) = One(Threads);
            var bare = one[(one.IndexOf(' ', StringComparison.Ordinal) + 1)..];
            return (element, $"{("aeiou".Contains(said[0], StringComparison.Ordinal) ? "an" : "a")} {said} {bare}");
        }

        return (element, one);
    }

    private List<string> Wishes(MadeElement e, int most)
    {
        var said = new List<string>();
        for (var i = 0; i < most; i++)
        {
            switch (_random.Next(9))
            {
                case 0 when e.Stitch is null && e.Fill is null && e.Craft is null:
                    (e.Stitch, var line) = One(Lines);
                    said.Add(line);
                    break;
                case 1 when e.Colour is null:
                    (e.Colour, var colour) = One(Threads);
                    said.Add(Chance(0.3) ? $"in {colour} thread" : $"in {colour}");
                    break;
                case 2 when e.Strands is null && e.Thread is null && e.Craft is null:
                    e.Strands = One((int[])[2, 3, 4, 6]);
                    said.Add(Chance(0.5) ? $"in {e.Strands} strands" : $"with {One((string[])[e.Strands switch { 2 => "two", 3 => "three", 4 => "four", _ => "six" }])} strands");
                    break;
                case 3 when e.WideMm is null && e.HighMm is null:
                    if (Chance(0.5))
                    {
                        e.WideMm = _random.Next(6, 20) * 10;
                        said.Add(string.Create(CultureInfo.InvariantCulture, $"{e.WideMm / 10} cm wide"));
                    }
                    else
                    {
                        e.HighMm = _random.Next(8, 40);
                        said.Add(string.Create(CultureInfo.InvariantCulture, $"{e.HighMm} mm high"));
                    }

                    break;
                case 4 when e.Text is not null && e.Style is null:
                    (e.Style, var style) = One(Styles);
                    said.Add(style);
                    break;
                case 5 when e.Motif is not null && e.Fill is null && e.Stitch is null && e.Craft is null:
                    (e.Fill, var fill) = One(Fills);
                    said.Add(fill);
                    break;
                case 6 when e.Thread is null && e.Strands is null && e.Craft is null:
                    (e.Thread, var kind) = One(Kinds);
                    said.Add(kind);
                    break;
                case 7 when e.Craft is null && e.Stitch is null && e.Fill is null && e.Thread is null && e.Strands is null:
                    (e.Craft, var craft) = One(Crafts);
                    said.Add(craft);
                    break;
                case 8 when e.Text?.Contains(' ', StringComparison.Ordinal) == true && e.Rows is null:
                    e.Rows = 2;
                    said.Add("in two lines");
                    break;
                default:
                    break;
            }
        }

        return said;
    }

    private bool Chance(double share) => _random.NextDouble() < share;

    private T One<T>(IReadOnlyList<T> of) => of[_random.Next(of.Count)];
}
