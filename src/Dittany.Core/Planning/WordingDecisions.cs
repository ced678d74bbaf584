using System.Globalization;
using Dittany.Core.Decisions;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;
using Dittany.Core.Stitches.AtPoints;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>The decisions on rows, height, stitch, lengths and strands of a wording.</summary>
internal static class WordingDecisions
{
    public static void Tell(
        Func<string, DecisionKey> id, LetteringQuestion q, LetteringAnswer a, IReadOnlyList<string> rows,
            IReadOnlyList<IReadOnlyList<string>> ways, StatedLettering stated,
        Func<StitchSchools, StitchSpec> specFor, Workshop workshop, List<Decision> decisions)
    {
        decisions.Add(Rowed(id("words.rows"), q, a, rows, ways, stated.Rows));
        decisions.Add(Size(id("words.size"), q, a, stated, workshop));
        decisions.Add(Stitch(id("stitch.outline"), q, a, stated.Stitch, specFor(workshop.StitchSchoolsWith(stated.Length, stated.Dots))));
        decisions.Add(Deciding.ByHabit(
            school => Length(id("stitch.length"), a, specFor(workshop.StitchSchoolsWith(school, stated.Dots)), school, workshop),
                workshop.Habit("stitch-length"), stated.Length, Habits.Find("stitch-length").Sure().Choices));
        if (a.Setting.Letters.Any(l => l.Glyph.HasDot))
        {
            decisions.Add(Deciding.ByHabit(
                school => Dots(id("stitch.dots"), a, specFor(workshop.StitchSchoolsWith(stated.Length, school)), workshop),
                    workshop.Habit("dots"), stated.Dots, [DotKnots, DotStraights]));
        }

        decisions.Add(Strands(id("thread.strands"), q, a, stated.Strands));
    }

    private static Decision Rowed(DecisionKey id, LetteringQuestion q, LetteringAnswer a, IReadOnlyList<string> rows,
        IReadOnlyList<IReadOnlyList<string>> ways, string? hers)
    {
        var because = rows.Count == 1
            ? (Told)$"In one row the capitals come out at {Say.Length(a.CapMm)}."
            : (Told)$"Broken where sense allows, {string.Join(" / ", rows)}: the capitals come out at {Say.Length(a.CapMm)}.";
        Told least = hers is null && ways.Count > 1 ? (Told)$" Here they are usually {Say.Length(q.UsualLeastMm)} or more." : string.Empty;
        Told[] told = hers is not null && hers != Choice(rows.Count).ChoiceId
            ? [because, $"You asked for {hers} rows: the words cannot be broken into so many, for a row ends only between words."]
            : [$"{because}{least}"];
        return Deciding.Make(
            id, Station.Words, "In how many rows", Choice(rows.Count), hers is null ? null : Choice(rows.Count), told,
                ["Wider room, or fewer words."],
            ways.Select(w => Choice(w.Count)).ToArray());

        static Choice Choice(int count) => new(count.ToString(CultureInfo.InvariantCulture), Say.Upper(Say.Count(count, "row")));
    }

    private static Decision Size(DecisionKey id, LetteringQuestion q, LetteringAnswer a, StatedLettering stated, Workshop workshop)
    {
        var hers = stated.Size;
        var free = hers is null ? a : Lettering.Settle(q with { CapMm = null, Wish = StatedLettering.WishOf(workshop.Habit("size")) });
        var width = a.Setting.Width * a.CapMm;
        var (least, greatest) = q.Field.Area.Box;
        var share = Math.Round(100 * width / Math.Max(1, greatest.X - least.X));
        var because = new List<Told>
        {
            $"The words are {Say.Length(width)} wide, {Say.Number(share, 0)} % of the field's width.",
            a.LargestCapMm > 0 ? (Told)$"The largest that fits here is {Say.AtMost(a.LargestCapMm)}."
                : "No size fits at this place.",
            ((Told)($"{Say.Upper(a.Pair.Stitch.Name)} with {Legibility.Strands(a.Pair.Size)} draws a line of {Say.Length(a.Pair.LineWidthMm)}, "
                + $"so that capitals are {Say.Number(a.CapMm / a.Pair.LineWidthMm, 0)} times as high as their line is wide.")).OfThread(),
            $"Usual here are {Say.Length(q.UsualLeastMm)} to {Say.Length(q.UsualMostMm)}, at most "
                + $"{Say.Length(Math.Round(q.Usual.MostWidthMm))} wide. {q.Usual.WidthReason}",
        };
        if (Trial.Told(q.Cloth) is { } tried)
        {
            because.Add(tried);
        }

        if (stated.WidthMm is { } wished)
        {
            because.Insert(0,
                $"You wished the words {Say.Length(wished)} wide: capitals of {Say.Length(Math.Round(a.CapMm, 1))} make them so.");
        }

        if (ReferenceEquals(a.Setting, q.Settings.Wide))
        {
            because.Add($"Under {Say.Length(Math.Round(Settings.WideBelow(a.Pair.LineWidthMm), 1))} letters stand "
                + $"{Say.Number(100 * Setting.WideBy, 0)} % of their height further apart, so that the thread does not close the gaps.");
        }

        return Deciding.Make(
            id, Station.Words, "How high the capitals", SizeChoice(hers is null ? a.CapMm : free.CapMm), hers is null ? null
                : SizeChoice(a.CapMm), because,
            ["Another place or share of the space, more or fewer strands, another stitch."], SizeChoices(q, a)) with
        {
            From =
            [
                $"Draughtsman's lettering is {Say.Number(Book.Iso3098TypeB, 0)} times as high as its line is wide (ISO 3098, type B).",
                $"Usual heights and widths here: {q.Usual.Source}.",
            ],
        };
    }

    private static Decision Stitch(DecisionKey id, LetteringQuestion q, LetteringAnswer a, string? hers, StitchSpec spec)
    {
        var own = hers is null ? a.Pair : q.CapMm is { } cap ? Lettering.At(q with { Stitch = null }, cap).Pair
            : Lettering.Settle(q with { Stitch = null }).Pair;
        var least = a.Pair.Stitch.LeastCapMm(a.Pair.Size);
        var ruledOut = Book.Lines
            .Where(s => s != a.Pair.Stitch && s != own.Stitch)
            .Select(s => (Stitch: s, Fault: FaultOf(q, s, a.CapMm)))
            .Where(s => s.Fault is not null)
            .Select(s => new RuledOut(s.Stitch.Id, Say.Upper(s.Stitch.Name), [s.Fault.Sure()]))
            .ToArray();
        return Deciding.Make(
            id, Station.Stitches, "Which stitch writes the lines", new Choice(own.Stitch.Id, Say.Upper(own.Stitch.Name)), hers is null
                ? null : new Choice(a.Pair.Stitch.Id, Say.Upper(a.Pair.Stitch.Name)),
            [
                .. Recommender.BecauseStitch(a.Pair, a.CapMm, q.Facts, s => FaultOf(q, s, a.CapMm)) is { } why ? new[] { why } : [],
                $"It is good for {a.Pair.Stitch.Info.GoodFor}. Against it: {a.Pair.Stitch.Info.FailsOn}. With "
                    + $"{Legibility.Strands(a.Pair.Size)} it wants capitals of {Say.Length(least)}, and "
                    + $"{Say.Length(a.Pair.Stitch.ComfortableCapMm(a.Pair.Size))} for ease.",
                $"A bend tighter than {Say.Length(Math.Round(Tolerance.LeastRadiusMm(a.Pair), 1))} is beyond it; its shortest stitch is "
                    + $"{Say.Length(Math.Round(spec.ShortestMm, 2))}.",
            ],
            ["Larger or smaller letters, a knitted cloth, your habit of lettering."],
            Book.Lines.Select(s => new Choice(s.Id, Say.Upper(s.Name))).ToArray(), ruledOut) with
        {
            NotFollowed = hers is null && Book.Find(q.Facts.LetterSchool) is { } habit && habit != a.Pair.Stitch
                ? [HabitAgainst(q, habit, a.CapMm, a.Pair.Size)] : null,
        };
    }

    /// <summary>Why her usual stitch is not taken at this height, and from which it would be.</summary>
    private static Told HabitAgainst(LetteringQuestion q, IStitch habit, double capMm, ThreadSize a)
    {
        var strands = q.Strands ?? Recommender.StrandsFor(habit, capMm, q.Facts);
        var enough = Math.Ceiling(Math.Max(habit.LeastCapMm(a.With(strands)), Lettering.TightestMm(q, 1) is var bend && bend > 0
            && double.IsFinite(bend) ? Tolerance.LeastRadiusMm(new Pair(habit, a.With(strands))) / bend : 0));
        var fault = FaultOf(q, habit, capMm) ?? (Told)"another stitch reads better here.";
        return enough > capMm
            ? (Told)($"Your habit, {habit.Name}, is not followed: {Say.Lower(fault)} It would be from capitals of about "
                + $"{Say.Length(enough)} on.")
            : (Told)$"Your habit, {habit.Name}, is not followed: {Say.Lower(fault)}";
    }

    /// <summary>What would be wrong with another stitch at this height, in the bundle it is written with, or null.</summary>
    private static Told? FaultOf(LetteringQuestion q, IStitch stitch, double capMm)
    {
        if (ThreadRules.Against(q.Facts.Thread, stitch) is { } cannot)
        {
            return cannot.Because;
        }

        var pair = new Pair(stitch, new ThreadSize(q.Facts.Thread, q.Strands ?? Recommender.StrandsFor(stitch, capMm, q.Facts)));
        return Lettering.At(q with { Stitch = stitch, Strands = pair.Strands }, capMm).Faults is { Count: > 0 } faults ? faults[0].Text
            : Lettering.CanTurn(q, pair, capMm) ? null
            : (Told)($"The tightest bend here, {Say.Length(Math.Round(Lettering.TightestMm(q, capMm), 1))}, is under the "
                + $"{Say.Length(Math.Round(Tolerance.LeastRadiusMm(pair), 1))} that {stitch.Name} can follow.");
    }

    private static Decision Length(DecisionKey id, LetteringAnswer a, StitchSpec spec, string school, Workshop workshop)
    {
        var because = new List<Told>
        {
            spec.Span == 2
                ? (Told)($"On straights a stitch is {Say.Length(Math.Round(spec.WishedMm, 2))} long and goes forward by half of it, "
                    + $"{Say.Length(Math.Round(spec.WishedMm / 2, 2))}: it comes up at the end of the one before the last.")
                : (Told)$"On straights a stitch is {Say.Length(Math.Round(spec.WishedMm, 2))} long.",
        };
        if (!spec.OneLength)
        {
            because.Add($"On a bend it is shorter, so that the line turns by {Say.Number(Tolerance.WishedTurnRadians * 180 / Math.PI, 0)}° at a "
                + $"joint and looks round: down to {Say.Length(Math.Round(spec.ShortestMm, 2))}.");
        }

        var manner = a.Pair.Stitch.Manner(spec.Schools);
        if (manner is not null && a.Pair.Stitch.KeepsOneLength)
        {
            because.Add(manner);
        }
        else if (spec.OneLength)
        {
            because.Add("One length is kept over the whole word.");
        }

        if (spec.Strict)
        {
            because.Add($"On skin no thread behind may be longer than {Say.Length(Items.Wearing.MostBehindOnSkinMm)}, and that limits the "
                + $"stitch.");
        }

        if (spec.Schools is { LengthMm: null, LengthShare: not 1 and var share }
            && workshop.PaceOf(PaceNames.StitchLength) is { } seen)
        {
            because.Add($"From photographs of {(seen.Pieces == 1 ? "one piece" : Say.Count(seen.Pieces, "piece"))} of yours: your stitches come out "
                + $"{Say.Number(100 * Math.Abs(share - 1), 0)} % {(share < 1 ? "shorter" : "longer")} than is usual, and so they are planned.");
        }

        if (manner is not null && !a.Pair.Stitch.KeepsOneLength)
        {
            because.Add(manner);
        }

        return Deciding.Make(
            id, Station.Stitches, "How long the stitches are",
                new Choice(school, Say.Upper(Habits.Find("stitch-length").Sure().Choices.First(c => c.ChoiceId == school).Text)), null, because,
            ["Your habits of stitch length, or a baby's skin behind the work."]) with
        {
            NotFollowed = spec.Schools.LengthMm is { } wished && spec.WishedMm < wished - 0.01
                ? [$"Stitches of {Say.Length(wished)}, your habit, are not followed: on skin no thread behind may be longer than "
                    + $"{Say.Length(Items.Wearing.MostBehindOnSkinMm)}. On what does not lie on skin they would be."]
                : null,
        };
    }

    private static Choice DotKnots => new("knot", "As French knots, where there is room");

    private static Choice DotStraights => new("straight", "As tiny straight stitches");

    private static Decision Dots(DecisionKey id, LetteringAnswer a, StitchSpec spec, Workshop workshop)
    {
        var knots = spec.Schools.Dots == DotSchool.Knot || (spec.Schools.Dots == DotSchool.ByHeight && a.CapMm >= Knots.FromCapMm);
        var wraps = spec.Wraps;
        var hole = workshop.Habit("knot-hole") == "beside"
            ? "Go down beside the hole you came up by, never in it, or the knot slips through."
            : "Go down in the very hole you came up by, holding the knot until it sits.";
        return Deciding.Make(
            id, Station.Stitches, "How dots are made", knots ? DotKnots : DotStraights, null,
            knots
                ? [$"From {Say.Length(Knots.FromCapMm)} capitals a knot of {Say.Count(wraps, "wrap")} has room: it lies "
                    + $"{Say.Length(Knots.AcrossMm(a.Pair.Size, wraps))} wide and takes "
                    + $"{Say.Length(Knots.ThreadMm(a.Pair.Size, wraps))} of thread.", hole]
                : [$"Under {Say.Length(Knots.FromCapMm)} capitals a knot would crowd the stem; a tiny straight reads as a dot."],
            ["Larger capitals, or your habit of dots."]) with
        {
            NotFollowed = knots && wraps < spec.Schools.Wraps
                ? [$"{Say.Upper(Say.Count(spec.Schools.Wraps, "wrap"))}, your habit, are not followed: "
                    + $"{Legibility.Are(a.Pair.Size)} thick enough with {Say.Count(wraps, "wrap")}. With a thinner thread they "
                    + $"would be."]
                : null,
        };
    }

    private static Decision Strands(DecisionKey id, LetteringQuestion q, LetteringAnswer a, string? hers)
    {
        var own = hers is null ? a.Pair.Strands : q.CapMm is { } cap ? Lettering.At(q with { Strands = null }, cap).Pair.Strands
            : Lettering.Settle(q with { Strands = null }).Pair.Strands;
        return Deciding.Make(
            id, Station.Thread, ThreadChoice.PlySubject(a.Pair.Size.Kind), Choice(own), hers is null ? null : Choice(a.Pair.Strands),
            [
                Recommender.BecauseStrands(a.Pair, a.CapMm, q.Facts),
                ThreadChoice.Lies(a.Pair),
            ],
            ["Larger or smaller capitals, or another stitch."],
            ThreadChoice.PlyChoices(a.Pair.Size.Kind)) with
        {
            NotFollowed = hers is null && q.Facts.HasSchoolOf(a.Pair.Stitch.Id)
                && Recommender.StrandsFor(a.Pair.Stitch, a.CapMm, q.Facts) is var habit && habit != a.Pair.Strands
                ? [$"{Say.Upper(a.Pair.Size.With(habit).Said)}, your habit for {a.Pair.Stitch.Name}, are not followed: "
                    + $"{HeavierBecause(q, a, habit)}"]
                : null,
        };

        Choice Choice(int strands) => ThreadChoice.PlyChoice(a.Pair.Size.Kind, strands);
    }

    private static Told HeavierBecause(LetteringQuestion q, LetteringAnswer a, int strands)
    {
        var pair = a.Pair.With(strands);
        return Lettering.At(q with { Stitch = pair.Stitch, Strands = strands }, a.CapMm).Faults is { Count: > 0 } faults
            ? Say.Lower(faults[0].Text)
            : (Told)$"{a.Pair.Size.Said} {(a.Pair is { Size.ByStrands: true, Strands: > 1 } ? "read" : "reads")} better in these words.";
    }

    private static Choice SizeChoice(double capMm) =>
        new(capMm.ToString("R", CultureInfo.InvariantCulture), $"Capitals of {Say.Length(capMm)}");

    private static Choice[] SizeChoices(LetteringQuestion q, LetteringAnswer a)
    {
        // The least that this very pair writes; no fitting is needed to know it.
        var least = Math.Ceiling(a.Pair.Stitch.LeastCapMm(a.Pair.Size) * (q.Settings.Usual.CapitalsOnly ? Book.CapitalsAlone : 1));
        return new[] { a.CapMm - 1, a.CapMm + 1, Math.Floor(a.LargestCapMm), least }
            .Where(c => c >= Lettering.LeastCapMm && c <= Fit.MostCapMm)
            .Distinct()
            .Order()
            .Select(SizeChoice)
            .ToArray();
    }
}
