using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Telling;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>Plans one wording through Space, Words and Stitches: place, alphabet, size, stitch, strands, colour, and every stitch.</summary>
internal sealed class WordingPlanner(Form form, Drawn drawn, Zone zone, Region field, Cloth cloth, Workshop workshop, Overrules overrules)
{
    public (PlannedElement Element, IReadOnlyList<Decision> Decisions) Plan(WordingAsked asked, int index, int of)
    {
        string Id(string decision) => index == 0 ? decision : $"{decision}:{asked.Id}";
        var decisions = new List<Decision>();

        var alphabet = Alphabet(asked, Id("words.alphabet"), decisions);
        var (place, placeDecision) = Placement.Settle(Id("space.place"), drawn, zone, field, asked.CentreMm, overrules.For(Id("space.place")), index, of);
        decisions.Add(placeDecision);

        var rows = Rows.Break(asked.Text, asked.Rows)!;
        var setting = Setting.Lay(alphabet, rows, place.Stands == Stands.OnBaseline);
        var hersSize = asked.CapHeightMm?.ToString("R", CultureInfo.InvariantCulture) ?? overrules.For(Id("words.size"));
        var hersStrands = asked.Strands?.ToString(CultureInfo.InvariantCulture) ?? overrules.For(Id("thread.strands"));
        var hersStitch = asked.Stitch ?? overrules.For(Id("stitch.outline"));
        var question = Question(alphabet, setting, place, hersSize, hersStrands, index, of);
        var answer = Lettering.Settle(question);
        Sizes(Id, question, answer, hersSize, hersStrands, hersStitch, decisions);

        var colour = Colours(asked, Id("thread.colour"), decisions);
        var spec = SpecFor(answer.Pair);
        var (parts, concerns) = Stitched(question, answer, spec, colour, place);
        var overflow = Math.Max(answer.OverflowMm, Outside(parts, answer.Pair));
        concerns.AddRange(FitConcerns(question, overflow));
        concerns.AddRange(answer.Faults.Select(f => new Concern(f.What, f.Letter, Math.Round(f.ByMm, 3), f.Text, Lettering.Remedies(question, answer, f))));
        if (Legibility.Showing(Colour.Parse(colour), cloth) is { } hidden)
        {
            concerns.Add(hidden);
        }

        var baseline = place.AnchorMm + (setting.BaselineFromOrigin * answer.CapMm);
        var middle = (((setting.Rows - 1) * Setting.RowPitch) + (Alphabets.XUnits / Alphabets.CapUnits)) / 2;
        var element = new PlannedElement(
            asked.Id,
            asked.Text,
            alphabet.Id,
            answer.CapMm,
            baseline.OnGrid(),
            (baseline - new Pt(0, middle * answer.CapMm)).OnGrid(),
            BoxOf(parts, answer.Pair.LineWidthMm / 2),
            answer.Pair.LineWidthMm,
            Math.Round(answer.LargestCapMm, 3),
            Math.Round(overflow, 3),
            concerns.All(c => c.What is "overflows" or "dropped"),
            concerns,
            parts);
        return (element, decisions);
    }

    private LetteringQuestion Question(IAlphabet alphabet, Setting setting, Place place, string? size, string? strands, int index, int of)
    {
        double? cap = double.TryParse(size, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) ? number : null;
        var wish = (cap is null && size is not null ? size : workshop.Habit("size")) switch
        {
            "largest" => SizeWish.Largest,
            "smallest" => SizeWish.Smallest,
            _ => SizeWish.Comfortable,
        };
        var slice = field;
        if (of > 1 && !field.IsEmpty)
        {
            var (least, greatest) = field.Box;
            var height = (greatest.Y - least.Y) / of;
            slice = field.Within(Region.Rectangle(least.X, place.AnchorMm.Y - height, greatest.X - least.X, height * 1.5));
        }

        return new LetteringQuestion(
            alphabet, setting, field, slice, place.AnchorMm, cloth, cap,
            strands is null ? null : int.Parse(strands, CultureInfo.InvariantCulture),
            wish, Lettering.ComfortableShare, form.UsualMostCapMm);
    }

    private IAlphabet Alphabet(WordingAsked asked, string id, List<Decision> decisions)
    {
        var hers = asked.Alphabet ?? overrules.For(id);
        var own = Alphabets.All[0];
        var taken = hers is null ? own : Alphabets.Find(hers)!;
        decisions.Add(Deciding.Make(
            id,
            Station.Words,
            "Which hand",
            new Choice(own.Id, own.Name),
            hers is null ? null : new Choice(taken.Id, taken.Name),
            ["Single strokes in the order a hand writes them: each is one line of stitches.", $"It has every letter of “{asked.Text.ReplaceLineEndings(" ")}”."],
            ["Letters that this hand lacks."],
            Alphabets.All.Select(a => new Choice(a.Id, a.Name)).ToArray()));
        return taken;
    }

    private void Sizes(Func<string, string> id, LetteringQuestion q, LetteringAnswer a, string? size, string? strands, string? stitch, List<Decision> decisions)
    {
        var free = Lettering.Settle(q with { CapMm = null, Wish = WishOf(workshop.Habit("size")) });
        var width = q.Setting.Width * a.CapMm;
        var (least, greatest) = field.Box;
        var share = Math.Round(100 * width / Math.Max(1, greatest.X - least.X));
        var because = new List<string>
        {
            $"The words are {Say.Length(width)} wide, {Say.Number(share, 0)} % of the field's width.",
            a.LargestCapMm > 0 ? $"The largest that fits here is {Say.Length(Math.Round(a.LargestCapMm, 1))}." : "No size fits at this place.",
            $"{Upper(a.Pair.Stitch.Name)} with {Legibility.Strands(a.Pair.Strands)} draws a line of {Say.Length(a.Pair.LineWidthMm)}: capitals are {Say.Number(a.CapMm / a.Pair.LineWidthMm)} lines high, and {Say.Number(Book.Iso3098TypeB, 0)} is the draughtsman's rule (ISO 3098, type B).",
        };
        decisions.Add(Deciding.Make(
            id("words.size"),
            Station.Words,
            "How high the capitals",
            SizeChoice(size is null ? a.CapMm : free.CapMm),
            size is null ? null : SizeChoice(a.CapMm),
            because,
            [$"Another place or share of the space (now {Say.Number(Lettering.ComfortableShare * 100, 0)} % at most), more or fewer strands."],
            SizeChoices(q, a)));

        decisions.Add(Deciding.Make(
            id("stitch.outline"),
            Station.Stitches,
            "Which stitch writes the lines",
            new Choice(Book.Backstitch.Id, Upper(Book.Backstitch.Name)),
            stitch is null ? null : new Choice(stitch, Upper(Book.Find(stitch)!.Name)),
            [
                $"It is crisp on letters of this height and shortens down to {Say.Length(a.Pair.Stitch.ShortestMm(a.Pair.Strands))} on bends.",
                workshop.Habit("stitch-length") == "uniform" ? "By your habit one length is kept all along a stretch." : $"On straights a stitch is {Say.Length(SpecFor(a.Pair).WishedMm)} long; on a bend it leaves the line by at most {Say.Length(SpecFor(a.Pair).SagittaMm)}.",
            ],
            ["Larger letters, or a knitted cloth."],
            Book.All.Select(s => new Choice(s.Id, Upper(s.Name))).ToArray()));

        var freeStrands = strands is null ? a : Lettering.Settle(q with { Strands = null });
        decisions.Add(Deciding.Make(
            id("thread.strands"),
            Station.Thread,
            "How many strands",
            StrandChoice(freeStrands.Pair.Strands),
            strands is null ? null : StrandChoice(a.Pair.Strands),
            strands is null && Recommender.StrandsFor(a.CapMm) == a.Pair.Strands
                ? [Recommender.Because(a.CapMm), $"{Upper(Legibility.Strands(a.Pair.Strands))} lie {Say.Length(a.Pair.LineWidthMm)} wide."]
                : [$"{Upper(Legibility.Strands(a.Pair.Strands))} lie {Say.Length(a.Pair.LineWidthMm)} wide; they write clean capitals from {Say.Length(a.Pair.Stitch.LeastCapMm(a.Pair.Strands))}."],
            ["Larger or smaller capitals."],
            new[] { 1, 2, 3, 4, 6 }.Select(StrandChoice).ToArray()));
    }

    private static Choice StrandChoice(int strands) => new(strands.ToString(CultureInfo.InvariantCulture), Upper(Say.Count(strands, "strand")));

    private static Choice SizeChoice(double capMm) => new(capMm.ToString("R", CultureInfo.InvariantCulture), $"Capitals of {Say.Length(capMm)}");

    private static Choice[] SizeChoices(LetteringQuestion q, LetteringAnswer a)
    {
        var least = Lettering.Settle(q with { CapMm = null, Wish = SizeWish.Smallest }).CapMm;
        return new[] { a.CapMm - 1, a.CapMm + 1, Math.Floor(a.LargestCapMm), least }
            .Where(c => c >= Lettering.LeastCapMm && c <= Fit.MostCapMm)
            .Distinct()
            .Order()
            .Select(SizeChoice)
            .ToArray();
    }

    private static SizeWish WishOf(string habit) => habit switch { "largest" => SizeWish.Largest, "smallest" => SizeWish.Smallest, _ => SizeWish.Comfortable };

    private string Colours(WordingAsked asked, string id, List<Decision> decisions)
    {
        var reading = Palette.Colours.Where(c => ColourDifference.Lightness(Colour.Parse(c.Hex), cloth.Colour) >= Legibility.ReadsFromL).ToArray();
        var own = reading.Length > 0 ? reading[0] : Palette.Colours.OrderByDescending(c => ColourDifference.Lightness(Colour.Parse(c.Hex), cloth.Colour)).First();
        var hers = (asked.Colour ?? overrules.For(id))?.ToLowerInvariant();
        var hex = hers is null ? own.Hex : Palette.Colours.FirstOrDefault(c => c.Id == hers)?.Hex ?? hers;
        var lightness = ColourDifference.Lightness(Colour.Parse(hex), cloth.Colour);
        var apart = ColourDifference.Ciede2000(Colour.Parse(hex).ToLab(), cloth.Colour.ToLab());
        decisions.Add(Deciding.Make(
            id,
            Station.Thread,
            "Which colour",
            new Choice(own.Hex, Upper(own.Name)),
            hers is null ? null : new Choice(hex, Upper(Palette.NameOf(hex))),
            [
                lightness >= Legibility.ReadsFromL
                    ? $"It is {Say.Number(lightness)} lighter or darker than the cloth, and from {Say.Number(Legibility.ReadsFromL, 0)} on words read."
                    : lightness >= Legibility.VanishesBelowL
                        ? $"It is {Say.Number(lightness)} lighter or darker than the cloth: tone on tone. From {Say.Number(Legibility.ReadsFromL, 0)} on words read at a glance."
                        : $"It is only {Say.Number(lightness)} lighter or darker than the cloth: words vanish under {Say.Number(Legibility.VanishesBelowL, 0)}.",
                $"The whole colour difference is {Say.Number(apart)} (CIEDE2000).",
            ],
            ["Another colour of cloth."],
            reading.Select(c => new Choice(c.Hex, Upper(c.Name))).ToArray()));
        return hex;
    }

    private StitchSpec SpecFor(Pair pair) =>
        StitchSpec.For(pair, workshop.Habit("stitch-length") == "uniform" ? LengthSchool.Uniform : LengthSchool.Graded);

    private (List<Part> Parts, List<Concern> Concerns) Stitched(LetteringQuestion q, LetteringAnswer a, StitchSpec spec, string colour, Place place)
    {
        var parts = new List<Part>();
        var concerns = new List<Concern>();
        for (var i = 0; i < q.Setting.Letters.Count; i++)
        {
            var letter = q.Setting.Letters[i];
            var stitched = LetterStitching.Stitch(letter.Strokes.Select(s => s.Map(p => place.AnchorMm + (p * a.CapMm))).ToArray(), spec);
            parts.AddRange(stitched.Lines.Select(line => new Part(
                "letter", letter.Letter, i, a.Pair.Stitch.Id, a.Pair.Strands, colour, a.Pair.LineWidthMm, line.LineMm, line.Closed, line.Stitches)));
            if (stitched.DroppedMm.Count > 0 && concerns.All(c => c.What != "dropped" || c.Letter != letter.Letter))
            {
                var longest = stitched.DroppedMm.Max();
                concerns.Add(new Concern(
                    "dropped", letter.Letter, Math.Round(StitchSpec.DroppedBelowMm - longest, 3),
                    $"In the {letter.Letter} {Say.Count(stitched.DroppedMm.Count, "stroke")} of {Say.Length(longest)} or less cannot be stitched and is left out: a stitch is at least {Say.Length(StitchSpec.DroppedBelowMm)}.",
                    Cures(q, a, letter, s => s.DroppedMm.Count == 0)));
            }

            var bent = stitched.Lines.Where(l => l.Turned).ToArray();
            if (bent.Length > 0 && concerns.All(c => c.What != "turning" || c.Letter != letter.Letter))
            {
                var beyond = bent.Max(l => l.BeyondMm);
                concerns.Add(new Concern(
                    "turning", letter.Letter, Math.Round(beyond, 3),
                    beyond > 0
                        ? $"A bend of the {letter.Letter} is tighter than a stitch of {Say.Length(spec.ShortestMm)} can follow: the line is cut short by {Say.Length(Math.Round(beyond + spec.SagittaMm, 2))}."
                        : $"A bend of the {letter.Letter} is so tight that its stitches turn sharply and look angular.",
                    Cures(q, a, letter, s => s.Lines.All(l => !l.Turned))));
            }
        }

        return (parts, concerns);
    }

    /// <summary>Remedies tried out: the letter is stitched again as a job that states them would be.</summary>
    private List<Remedy> Cures(LetteringQuestion q, LetteringAnswer a, SetLetter letter, Func<StitchedLetter, bool> good)
    {
        var remedies = new List<Remedy>();
        for (var cap = Math.Floor(a.CapMm) + 1; cap <= Math.Min(Fit.MostCapMm, (a.CapMm * 4) + 10); cap++)
        {
            if (All(q with { CapMm = cap }))
            {
                remedies.Add(new Remedy(CapHeightMm: cap));
                break;
            }
        }

        for (var strands = a.Pair.Strands - 1; strands >= 1; strands--)
        {
            if (All(q with { Strands = strands }))
            {
                remedies.Add(new Remedy(Strands: strands));
                break;
            }
        }

        return remedies;

        bool All(LetteringQuestion changed)
        {
            var settled = changed.CapMm is null ? Lettering.Settle(changed) : null;
            var cap = settled?.CapMm ?? changed.CapMm!.Value;
            var spec = SpecFor(settled?.Pair ?? Lettering.At(changed, cap).Pair);

            // The same letter is stitched the same way wherever it stands: one is enough.
            return good(LetterStitching.Stitch(letter.Strokes.Select(s => s.Map(p => changed.AnchorMm + (p * cap))).ToArray(), spec));
        }
    }

    private double Outside(List<Part> parts, Pair pair)
    {
        var room = field.Offset(-pair.LineWidthMm / 2);
        var by = parts.SelectMany(p => p.Stitches).SelectMany(s => new[] { s.FromMm, s.ToMm }).Select(room.OutsideBy).DefaultIfEmpty(0).Max();

        // Under two thousandths it is the grid, not the place.
        return by < 0.002 ? 0 : by;
    }

    private IEnumerable<Concern> FitConcerns(LetteringQuestion q, double overflow)
    {
        if (overflow <= 0)
        {
            yield break;
        }

        var remedies = new List<Remedy>();
        var fits = Lettering.Settle(q with { CapMm = null, Wish = SizeWish.Largest });
        if (fits is { OverflowMm: 0, LargestCapMm: >= Lettering.LeastCapMm } && Lettering.Settle(q with { CapMm = fits.CapMm }).OverflowMm == 0)
        {
            remedies.Add(new Remedy(CapHeightMm: fits.CapMm));
        }

        yield return new Concern(
            "overflows", null, Math.Round(overflow, 3),
            double.IsInfinity(overflow) ? $"There is no room at all here on the {form.Name}." : $"The words reach {Say.Length(Math.Round(overflow, 1))} beyond the room there is.",
            remedies);
    }

    private static Box BoxOf(List<Part> parts, double half)
    {
        if (parts.Count == 0)
        {
            return new Box(0, 0, 0, 0);
        }

        var points = parts.SelectMany(p => p.LineMm).Concat(parts.SelectMany(p => p.Stitches).SelectMany(s => new[] { s.FromMm, s.ToMm })).ToArray();
        var (x, y) = (points.Min(p => p.X) - half, points.Min(p => p.Y) - half);
        return new Box(
            Rounding.ToGrid(x), Rounding.ToGrid(y), Rounding.ToGrid(points.Max(p => p.X) + half - x), Rounding.ToGrid(points.Max(p => p.Y) + half - y));
    }

    private static string Upper(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
