using System.Globalization;
using Dittany.Core.Cautions;
using Dittany.Core.Effort;
using Dittany.Core.Finishing;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Route;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Telling;
using Dittany.Core.Threads;
using Dittany.Core.Time;
using Dittany.Core.Transfer;

namespace Dittany.Core.Planning;

/// <summary>
/// A job goes in, a plan comes out. Pure: no clock, file, store or chance. Calls the rooms in the order of the data, each with what it needs and no more.
/// </summary>
public static class Planner
{
    /// <summary>
    /// Makes the plan of a job that <see cref="JobCheck"/> found no fault with; a faulty one throws <see cref="ArgumentException"/>. What does not fit or does not
    /// read is a concern in the plan, never an error.
    /// </summary>
    public static Plan Make(Job job, Workshop workshop)
    {
        var faults = JobCheck.Faults(job, workshop);
        if (faults.Count > 0)
        {
            throw new ArgumentException($"{faults[0].Pointer}: {faults[0].Detail}", nameof(job));
        }

        var overrules = new Overrules(job.Overrules ?? new Dictionary<string, string>(StringComparer.Ordinal));
        var decisions = new List<Decision>();
        var cautions = new List<Caution>();

        // Item and space.
        var form = Catalogue.Find(job.Form)!;
        var size = Size(form, job.Size ?? overrules.For("item.size"), job.Size is not null, decisions);
        var drawn = form.Build(size.WidthMm, size.HeightMm);
        var fabric = Fabric.Settle(form, job.Fabric ?? new StatedFabric(), overrules.For("fabric.kind"));
        decisions.AddRange(fabric.Decisions);
        cautions.AddRange(fabric.Cautions);
        var cloth = fabric.Cloth;
        var zone = Zone(form, drawn, job.Zone ?? overrules.For("space.zone"), decisions);
        var field = Field.Of(drawn, zone);

        // Words and stitches.
        var wordings = new WordingPlanner(form, drawn, zone, field, cloth, workshop, overrules);
        var elements = new List<PlannedElement>();
        for (var i = 0; i < job.Elements.Count; i++)
        {
            var (element, told) = wordings.Plan(job.Elements[i], i, job.Elements.Count);
            elements.Add(element);
            decisions.AddRange(told);
        }

        decisions.Add(Fill());

        // Hooping, route, threads.
        var letters = elements
            .SelectMany(e => e.Parts.Select((p, i) => (Part: p, Index: i)).GroupBy(p => p.Part.LetterIndex).Select(g => new Letter(e, g.Select(p => p.Part).ToArray(), g.Select(p => p.Index).ToArray())))
            .ToArray();
        var units = letters
            .Select(l => new Unit(l.Parts[0].Letter, l.Parts.SelectMany(p => p.Stitches).SelectMany(s => new[] { s.FromMm, s.ToMm }).ToArray(), l.Parts[0].LineWidthMm / 2))
            .ToArray();
        var hersSchool = overrules.For("hoop.school");
        var held = Holding.Settle(new HoldingQuestion(
            units, drawn.Outline, drawn.Obstacles.Where(o => o.Bulky).Select(o => o.Ring).ToArray(), cloth, workshop.HoopsMm,
            Holding.SchoolOf(workshop.Habit("hold")), hersSchool, NumberOf(overrules, "hoop.size", (hersSchool ?? workshop.Habit("hold")) != "in-hand")));
        decisions.AddRange(held.Decisions);
        cautions.AddRange(held.Cautions);

        var cutting = ThreadRoom.Settle(
            double.Parse(workshop.Habit("cut-length"), CultureInfo.InvariantCulture), workshop.Habit("start"), workshop.Habit("finish"),
            NumberOf(overrules, "thread.cut-length"), overrules.For("thread.start"), overrules.For("thread.finish"));
        decisions.AddRange(cutting.Decisions);
        var route = RouteOf(letters, held, cutting, cloth, overrules.For("order.parts"), decisions);
        var threads = ThreadsOf(elements, route, cutting, cloth, overrules, decisions);

        // Effort, transfer, finish, time.
        var runs = threads.Sum(t => t.Runs);
        var effort = EffortRoom.Stitching(
            elements.SelectMany(e => e.Parts).GroupBy(p => p.Stitch).Select(g => (g.Sum(p => p.Stitches.Count), Book.Find(g.Key)!.SecondsEach)).ToArray(),
            runs, cutting.Start.Minutes, cutting.Finish.Minutes, held.Placings.Count, cloth, workshop.Skill);
        var box = Around(elements);
        var transfer = TransferRoom.Settle(new TransferQuestion(
            new TransferFacts(cloth, workshop.Equipment.ToArray(), elements.Min(e => e.CapHeightMm), Math.Round(effort.Minutes / 60, 1)),
            box.Width + (2 * TransferRoom.CutMarginMm), box.Height + (2 * TransferRoom.CutMarginMm), workshop.Paper,
            overrules.For("transfer.method"), overrules.For("transfer.marker"), overrules.For("transfer.stabiliser")));
        decisions.AddRange(transfer.Decisions);
        cautions.AddRange(transfer.Cautions);

        var colours = elements.SelectMany(e => e.Parts).Select(p => p.Colour).Distinct(StringComparer.Ordinal).ToArray();
        var finished = FinishRoom.Settle(new FinishQuestion(
            cloth, transfer.Marker, transfer.Method.Id, transfer.Stabiliser, held.School == School.Hoop, colours.Any(Palette.MayBleed),
            workshop.Habit("press"), overrules.For("finish.press")));
        decisions.AddRange(finished.Decisions);
        cautions.AddRange(finished.Cautions);

        var timed = Timing.Settle(
            [.. TransferMinutes.Of(transfer, box.Width, box.Height, cloth.Dark), .. effort.Steps, .. finished.Before], finished.After,
            finished.DryMinutes + transfer.Steps.Sum(s => s.WaitMinutes), new Evenings(workshop.EveningsPerWeek, workshop.MinutesPerEvening), job.Today, job.DueOn);
        decisions.AddRange(timed.Decisions);
        cautions.AddRange(timed.Cautions);
        if (workshop.HourlyRate > 0)
        {
            decisions.Add(Price(workshop.HourlyRate, timed.HandsOnMinutes));
        }

        cautions.AddRange(CautionRoom.Of(new CautionFacts(
            cloth, colours, transfer.Marker, transfer.Method.Id is not ("film-traced" or "stick-on-sheet"), transfer.Method.Id, job.Wearer ?? "nobody",
            finished.After.Count > 0 || transfer.Method.Id is "hot-iron" or "coated-paper")));

        var first = elements[0];
        return new Plan(
            job.Today,
            job.Title ?? $"{first.Text.ReplaceLineEndings(" ")}, on a {form.Name}",
            new PlannedItem(form.Id, form.Name, size.Id, size.Name, job.Wearer ?? "nobody", drawn.Outline, cloth),
            new PlannedSpace(
                form.Face, zone.Id, zone.Name, zone.Ring, field.Rings, drawn.Obstacles, drawn.Landmarks,
                FindIt.Tell(drawn, elements.Select(e => (e.Text.ReplaceLineEndings(" "), e.BaselineMm, e.BoxMm.Width)).ToArray(), cloth.Kind.Knit)),
            elements,
            transfer,
            finished.Removal,
            new PlannedHooping(held.School, held.Placings, held.LowerBound),
            threads,
            route,
            timed,
            finished.Finish,
            finished.Care,
            decisions.OrderBy(d => d.Station).ToArray(),
            overrules.SetAside,
            cautions.DistinctBy(c => c.Text, StringComparer.Ordinal).OrderByDescending(c => c.Severity).ToArray());
    }

    private static double? NumberOf(Overrules overrules, string id, bool heard = true) =>
        heard && overrules.For(id) is { } text ? double.Parse(text, CultureInfo.InvariantCulture) : null;

    private static FormSize Size(Form form, string? hers, bool stated, List<Decision> decisions)
    {
        var own = form.Sizes.First(s => s.Id == form.UsualSize);
        var taken = hers is null ? own : form.Sizes.First(s => s.Id == hers);
        decisions.Add(Deciding.Make(
            "item.size",
            Station.Item,
            "The size",
            new Choice(own.Id, own.Name),
            hers is null ? null : new Choice(taken.Id, taken.Name),
            [stated || hers is not null ? $"You said {taken.Name}." : $"{taken.Name} is the usual size of a {form.Name}: measure yours."],
            ["One look at the tape."],
            form.Sizes.Select(s => new Choice(s.Id, s.Name)).ToArray()));
        return taken;
    }

    private static Zone Zone(Form form, Drawn drawn, string? hers, List<Decision> decisions)
    {
        var own = drawn.Zones[0];
        var taken = hers is null ? own : drawn.Zones.First(z => z.Id == hers);
        decisions.Add(Deciding.Make(
            "space.zone",
            Station.Space,
            "Which part of it",
            new Choice(own.Id, Upper(own.Name)),
            hers is null ? null : new Choice(taken.Id, Upper(taken.Name)),
            [$"{Say.Length(taken.EdgeAllowanceMm)} are kept free at its edges, {taken.EdgeReason}."],
            ["How it will hang or be folded."],
            form.Zones.Select(z => new Choice(z.Id, Upper(z.Name))).ToArray()));
        return taken;
    }

    private static Decision Fill() => Deciding.Make(
        "stitch.fill",
        Station.Stitches,
        "What fills the shapes",
        new Choice("none", "Nothing to fill"),
        null,
        ["This hand is all lines: there is no shape to fill."],
        ["Letters with weight, or a motif."]);

    private static IReadOnlyList<RouteRow> RouteOf(
        IReadOnlyList<Letter> letters, Held held, Cutting cutting, Cloth cloth, string? hers, List<Decision> decisions)
    {
        var backwards = hers == "last-letter-first";
        var order = Enumerable.Range(0, letters.Count).ToArray();
        if (backwards)
        {
            Array.Reverse(order);
        }

        var hoopOf = held.Placings.SelectMany(h => h.Units.Select(u => (u, h.Order))).ToDictionary(p => p.u, p => p.Order);
        var shows = letters.Count > 0 && ColourDifference.Lightness(Colour.Parse(letters[0].Parts[0].Colour), cloth.Colour) >= Words.Legibility.VanishesBelowL;
        var endsEach = cloth.Opacity == Opacity.Sheer && shows;
        var pieces = order.SelectMany(i => letters[i].Parts.Select((part, n) => new Piece(
            letters[i].Element.Id, letters[i].Indices[n], i, $"{part.Colour} {part.Strands}", hoopOf.GetValueOrDefault(i), part.Stitches)));
        var rows = Routing.Order(pieces.ToArray(), new RouteRules(Routing.StraightNotCaughtMm, endsEach, cutting.RunMm, cloth.ThicknessMm, Cutting.TakeUp));
        var straight = rows.Where(r => r.FloatKind == FloatKind.Straight).ToArray();
        decisions.Add(Deciding.Make(
            "order.parts",
            Station.Order,
            "Where to begin and go on",
            new Choice("writing-order", "Letter by letter, as they are written"),
            hers is null ? null : new Choice(hers, backwards ? "The last letter first" : "Letter by letter, as they are written"),
            [
                "Every letter is worked in the strokes and the direction of a hand that writes it.",
                $"{Say.Count(rows.Count == 0 ? 0 : rows.Max(r => r.Run), "thread")}, each ending at the end of a line where its length allows.",
                endsEach
                    ? "The cloth is sheer and the thread would show through, so every letter ends its own thread."
                    : $"Behind, nothing longer than {Say.Length(Routing.StraightNotCaughtMm)} goes free, for a towel is used and washed{(straight.Length > 0 ? $"; the longest is {Say.Length(Math.Round(straight.Max(r => r.FloatMm), 1))}" : string.Empty)}. Longer ways go under stitches already there, or the thread ends.",
            ],
            ["A left hand on chalk works the last letter first, so as not to wipe the line."],
            [new Choice("last-letter-first", "The last letter first")]));
        return rows;
    }

    private static List<ThreadNeed> ThreadsOf(
        IReadOnlyList<PlannedElement> elements, IReadOnlyList<RouteRow> route, Cutting cutting, Cloth cloth, Overrules overrules, List<Decision> decisions)
    {
        var byElement = elements.ToDictionary(e => e.Id, StringComparer.Ordinal);
        var needs = new List<ThreadNeed>();
        foreach (var group in route.GroupBy(r => byElement[r.Element].Parts[r.Part]).GroupBy(g => (g.Key.Colour, g.Key.Strands)))
        {
            var id = needs.Count == 0 ? "needle.size" : $"needle.size:{needs.Count + 1}";
            var (needle, decision) = ThreadRoom.Needle(id, group.Key.Strands, cloth, overrules.For(id));
            decisions.Add(decision);
            var rows = group.SelectMany(g => g).ToArray();
            needs.Add(ThreadRoom.Sum(
                group.Key.Colour, group.Key.Strands,
                rows.Select(r => (byElement[r.Element].Parts[r.Part].Stitches[r.Stitch].LengthMm, r.BackMm)).ToArray(),
                rows.Select(r => r.Run).Distinct().Count(), cutting, cloth.ThicknessMm, needle.Id));
        }

        return needs;
    }

    private static Decision Price(double rate, double minutes)
    {
        var price = Math.Round(rate * minutes / 60, 2, MidpointRounding.AwayFromZero);
        return Deciding.Make(
            "time.price",
            Station.Time,
            "What the hours are worth",
            new Choice(price.ToString(CultureInfo.InvariantCulture), $"{Say.Number(price, 2)} for the work"),
            null,
            [$"{Say.Minutes(minutes)} at {Say.Number(rate, 2)} an hour; material is not in it."],
            ["Your hourly rate, or your own pace once you have logged some pieces."]);
    }

    private static Box Around(IReadOnlyList<PlannedElement> elements)
    {
        var (x, y) = (elements.Min(e => e.BoxMm.X), elements.Min(e => e.BoxMm.Y));
        return new Box(x, y, elements.Max(e => e.BoxMm.X + e.BoxMm.Width) - x, elements.Max(e => e.BoxMm.Y + e.BoxMm.Height) - y);
    }

    /// <summary>A letter as it is worked: its parts, and where they stand among its element's.</summary>
    private sealed record Letter(PlannedElement Element, IReadOnlyList<Part> Parts, IReadOnlyList<int> Indices);

    private static string Upper(string text) => char.ToUpperInvariant(text[0]) + text[1..];
}
