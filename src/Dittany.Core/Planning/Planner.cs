using System.Globalization;
using Dittany.Core.Advising;
using Dittany.Core.Cautions;
using Dittany.Core.Decisions;
using Dittany.Core.Effort;
using Dittany.Core.Finishing;
using Dittany.Core.Geometry;
using Dittany.Core.Hooping;
using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;
using Dittany.Core.Space;
using Dittany.Core.StitchBook;
using Dittany.Core.Threads;
using Dittany.Core.Time;
using Dittany.Core.Transfer;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// A job goes in, a plan comes out. Pure: no clock, file, store or chance; what may be named comes in the library. Calls the rooms in the
/// order of the data, each with what it needs and no more.
/// </summary>
public static class Planner
{
    /// <summary>
    /// Makes the plan of a job that <see cref="JobCheck"/> found no fault with; a faulty one throws <see cref="ArgumentException"/>. What
    /// does not fit or does not read is a concern in the plan, never an error. Throws <see cref="UnplannedException"/> where it would be
    /// more
    /// than one plan holds, or takes more steps of reckoning than <see cref="Budget.OfAPlan"/>, and
    /// <see cref="OperationCanceledException"/> soon after <paramref name="stop"/> is called.
    /// </summary>
    public static Plan Make(Job job, Workshop workshop, Library library, CancellationToken stop = default) =>
        Make(job, workshop, library, Budget.OfAPlan, null, stop);

    /// <summary>The same in no more than <paramref name="most"/> steps of reckoning.</summary>
    public static Plan Make(Job job, Workshop workshop, Library library, long most, CancellationToken stop = default) =>
        Make(job, workshop, library, most, null, stop);

    /// <summary>
    /// The same in no more than <paramref name="most"/> steps of reckoning; <paramref name="dear"/> is called once where it turns out to
    /// take long, and may wait, or answer that it may not go on (<see cref="Budget.DearSteps"/>).
    /// </summary>
    public static Plan Make(Job job, Workshop workshop, Library library, long most, Func<bool>? dear, CancellationToken stop = default)
    {
        var faults = JobCheck.Faults(job, workshop, library);
        if (faults.Count > 0)
        {
            throw new ArgumentException($"{faults[0].Pointer}: {faults[0].Detail}", nameof(job));
        }

        // One budget for all places and everything that is tried out for them.
        var budget = new Budget(most, dear, stop);
        try
        {
            var plan = budget.Within(() => Places.Of(job) is { Count: > 1 } several ? JoinedPlaces.Make(job, several, workshop, One)
                : One(Places.Of(job)[0].Job, []));
            return plan with { Troubles = budget.Troubles, Steps = most - budget.Left };
        }
        catch (OverBudgetException)
        {
            throw new UnplannedException(new ValidationError("#/elements",
                "This is more than one plan can reckon: too many parts, copies or bends for one piece.",
                "Take fewer copies, draw it more simply, make it smaller, or divide it between two pieces."));
        }

        Plan One(Job place, IReadOnlyList<StitchedThere> there) => Offering.Tried(
            Make(place, workshop, library, budget, there), place, other => Make(other, workshop, library, budget, there));
    }

    private static Plan Make(Job job, Workshop workshop, Library library, Budget budget, IReadOnlyList<StitchedThere> there)
    {
        var overrides = new HeardOverrides(job.Overrides);
        var (decisions, cautions) = (new List<Decision>(), new List<Caution>());

        // Item and space.
        var (ground, size, washesFirst, cut, lies) = GroundOf(job, workshop, library, budget, overrides, decisions, cautions, there);
        var (form, drawn, zone, cloth, worn) = (ground.Form, ground.Drawn, ground.Zone, ground.Cloth, ground.Worn);

        // Words and stitches.
        var (elements, lying, crafts) = ElementsOf(job, ground, workshop, overrides, lies, decisions);
        var sewn = elements.Any(e => e.Sewn);
        cautions.AddRange(crafts.SelectMany(c => c.Cautions));

        // What is settled of hoop, transfer, thread and marks is told only where there is something to stitch.
        var (needle, warned) = sewn ? (decisions, cautions) : (new List<Decision>(), new List<Caution>());
        UnplannedException.ThrowIfOver(elements.Sum(e => e.Parts.Sum(p => (long)p.Stitches.Count)));

        // Hooping, and what the thread is cut to.
        var called = CalledBy(elements);
        var letters = StitchingPipeline.LettersOf(lying.Order().Select(i => elements[i]).ToArray());
        var held = StitchingPipeline.Hold(letters, called, ground, workshop, overrides);
        needle.AddRange(Offering.Nudged(held, elements));
        warned.AddRange(At(Station.Hoop, held.Cautions));
        var thickness = cloth.ThicknessMm + (held.LayersThrough > 1 ? StitchingPipeline.LiningMm : 0);
        var (skims, action) = StitchingPipeline.Action(held, StitchingPipeline.LinesOf(elements), workshop, overrides.For("stitch.action"));
        var cutting = Cut(elements, worn, ground, workshop, overrides);
        needle.AddRange([action, .. cutting.Decisions]);
        warned.AddRange(At(Station.Thread, cutting.Cautions));

        // Marks must outlast the stitching, so its hours are reckoned first; which letter comes first hangs on the mark.
        var pace = new Pace(cloth, workshop.Skill, skims);
        var learnt = LearntPace.Of(workshop, cloth, form);
        var seconds = elements.SelectMany(e => e.Parts).Sum(p => learnt.OfStitch(p.Stitch) * p.Stitches.Sum(s => s.Seconds));
        var hooped = Holding.Told(held.Placings);
        var expected = StitchingPipeline.ExpectedRuns(letters, cutting, thickness);
        var hours = EffortRoom.Stitching(seconds, cutting.Minutes(expected, 1, expected), hooped, pace).Minutes / 60;
        var colours = elements.SelectMany(e => e.Parts).Select(p => p.Colour).Distinct(StringComparer.Ordinal).ToArray();
        var transfer = TransferRoom.Settle(Transfer(elements, crafts, called, ground, held, hours, colours, workshop, overrides));
        needle.AddRange(transfer.Decisions);
        warned.AddRange(At(Station.Transfer, transfer.Cautions));
        var marksCloth = MarkerRules.OnCloth(transfer.Method);

        // Route and threads, and with the real thread ends the effort.
        var routed = StitchingPipeline.RouteOf(
            letters, called, held, cutting, ground, thickness, marksCloth && transfer.Marker.GoesBy == GoesBy.Brushing, workshop,
                overrides.For("order.parts"), needle, lying);
        elements = ColourTurns.On(StitchingPipeline.AsWorked(elements, routed), routed.Rows, cutting.CutMm);
        ColourTurns.Tell(elements, needle);
        var threads = StitchingPipeline.ThreadsOf(elements, routed.Rows, cutting, cloth, thickness, workshop, overrides, needle);
        var effort = EffortRoom.Stitching(
            seconds, cutting.Minutes(threads.Sum(t => t.Runs), threads.Sum(t => t.FreshRuns), threads.Sum(t => t.Cuts)), hooped, pace,
                threads.Select(t => new Use($"{Palette.NameOf(t.Colour)}, {t.Thread.Size.Said}", t.LengthMm, "mm")).ToArray(),
            TenderThread.Of(elements.SelectMany(e => e.Parts).Select(p => p.Thread.Kind)));

        // Finish and time.
        var finished = FinishRoom.Settle(Finish(elements, crafts, transfer, held, cutting, Dyed(elements), ground, workshop, overrides));
        needle.AddRange(finished.Decisions);
        decisions = [.. decisions.Select(d => WashedAsBorne.Of(d, finished, Wearing.Washings))];
        warned.AddRange(At(Station.Finish, finished.Cautions));
        if (!sewn)
        {
            var at = decisions.FindIndex(d => d.Id == "craft");
            decisions[at] = CraftPlanning.Idle(decisions[at], needle);
        }

        var ordered = CraftOrder.Of(crafts, sewn ? [.. transfer.Work, .. effort.Work, .. finished.Work] : []);
        decisions.AddRange(ordered.Decisions);
        cautions.AddRange(ordered.Cautions);
        cautions.AddRange(Fraying(job, cloth));
        var work = LearntPace.AtPace(Work.Chain([.. Beforehand.Of(cloth, finished.Care, washesFirst, ground.HasIron),
            .. LooseWork.Before(form, cut),
            .. job.MakeUp is { As: MakeUp.Frayed } edge ? [FrayedEdge.Of(cloth, size, edge.FringeMm ?? FrayedEdge.UsualMm)]
                : Array.Empty<Operation>(), .. ordered.Work,
            .. MakesUp(job) ? MakingUp.Of(form, size) : []]), workshop, learnt);
        var worked = routed.Rows.Count == 0 ? 0 : (double)CompletedWorkGuard.RowsDone(routed.Rows, job.Done) / routed.Rows.Count;
        var timed = Timing.Settle(
            work, Left.After(work, job.Done, threads.Sum(t => t.Runs), worked, job.Today),
            new Evenings(workshop.EveningsPerWeek, workshop.MinutesPerEvening), job.Today, job.DueOn,
            LearntPace.Tell(workshop, elements.SelectMany(e => e.Parts).Select(p => p.Stitch), cloth, form));
        decisions.AddRange(timed.Decisions);
        cautions.AddRange(At(Station.Time, timed.Cautions));
        if (workshop.HourlyRate > 0)
        {
            decisions.Add(Price(workshop.HourlyRate, timed.HandsOnMinutes));
        }

        cautions.AddRange(CautionRoom.Of(new CautionFacts(
            cloth, Dyed(elements), transfer.Marker, sewn && marksCloth, transfer.Method.Id, transfer.Stabiliser, worn, form.Use.SeenOutdoors
                && !zone.Hidden, elements.Where(e => !e.IsMotif).Select(e => e.Text).ToArray(),
            work.Any(o => o.Iron is not null),
                effort.Minutes / 60, washesFirst, form.Loose is null, sewn && zone.BackSeen && !cloth.Lined, sewn,
                work.Any(o => o.Iron is { Steam: true }))));

        var heeded = cautions.DistinctBy(c => c.Text).OrderByDescending(c => c.Severity).ToArray();
        decisions = decisions.Select(d => OwnHabits(sewn || d.Id.StartsWith("craft", StringComparison.Ordinal) ? d
            : CraftPlanning.WithoutThread(d), workshop)).ToList();
        return new Plan(
            job.Today,
            job.Title ?? $"{Named(elements[0])}, on {Say.A(form.Name)}",
            new PlannedItem(form.Id, form.Name, size.Id, size.Name, worn.Wearer, drawn.Outline, cloth),
            SpaceOf(ground, elements),
            elements,
            transfer,
            new PlannedHooping(held.School, held.Placings, held.LowerBound),
            threads,
            routed.Rows,
            Heeding.Heed(work, heeded),
            timed,
            finished.Care,
            elements.Where(e => !e.IsMotif).SelectMany((e, i) => i == 0 ? Proof.Of(e.Text)
                : Proof.Of(e.Text).Prepend(new ProofLetter("\n", "next wording"))).ToArray(),
            decisions.OrderBy(d => d.Station).ToArray(),
            [.. overrides.SetAside, .. decisions.SelectMany(d => d.NotFollowed ?? []).Select(t => t.ToString())],
            heeded)
        {
            Learnt = learnt,
            CraftParts = crafts.SelectMany(c => c.Parts).ToArray(),
            SideViews = SideViews.Of(work, new SideFacts(form.Use.MadeUp && form.Loose is null && !drawn.Stuffed,
                sewn ? transfer.Stabiliser.Ids : [], transfer.Method.Id, MakesUp(job) ? form.Loose : null)),
        };
    }

    private static IEnumerable<Caution> Fraying(Job job, Cloth cloth) => job.MakeUp is { As: MakeUp.Frayed }
        && FrayedEdge.Against(cloth) is { } frays
        ? [new Caution("edge-does-not-fray", CautionKind.Item, Severity.Stop, $"{frays} Take woven cloth, or hem it.", Station.Item)] : [];

    private static (WordingGround Ground, FormSize Size, bool WashesFirst, FormSize Cut, string Lies) GroundOf(Job job, Workshop workshop,
        Library library, Budget budget, HeardOverrides overrides, List<Decision> decisions, List<Caution> cautions,
        IReadOnlyList<StitchedThere> there)
    {
        var form = GroundDecisions.Sewn(job.FormUsed.Sure(), overrides, decisions);
        var size = GroundDecisions.Size(form, job, overrides, decisions);
        var fabric = Fabric.Settle(form, size, job.Fabric ?? new FabricOverrides(), overrides.For("fabric.kind"));
        var tried = workshop.Trials.TryGetValue(fabric.Cloth.Kind.Id, out var share);
        var cloth = tried ? fabric.Cloth with { StaysOpen = share, Tried = true } : fabric.Cloth;
        var zoneWished = job.Zone ?? overrides.For("space.zone");
        var drawn = StitchedThere.On(Creasing.On(cloth, form.At(size, zoneWished)), there);
        var zone = GroundDecisions.Zone(form, drawn, zoneWished, decisions);
        if (drawn.Face.Fold is not null)
        {
            decisions.Add(GroundDecisions.Fold(drawn.Face));
        }

        var worn = Wearing.Settle(form, job.UseStated, cloth.Washable, zone.Hidden, id => overrides.For(id));
        decisions.AddRange(worn.Decisions);
        decisions.AddRange(fabric.Decisions);
        cautions.AddRange(At(Station.Item, fabric.Cautions));
        var washesFirst = Beforehand.Washes(cloth, form, worn);
        var cut = LooseWork.CutFrom(form, size, drawn);
        if (ClothAllowance.Decide(form, cut, washesFirst ? cloth.ShrinkPercent : 0) is { } allowance)
        {
            decisions.Add(allowance);
        }

        var lies = overrides.For("order.layers") ?? workshop.Habit("lying");
        var ground = new WordingGround(form, drawn, zone, Field.Of(drawn, zone), cloth, worn, library, budget)
        {
            HasIron = workshop.Equipment.Contains("iron", StringComparer.Ordinal),
            TuckMm = LayerOrder.TuckMm(lies),
            MinutesLeft = job.DueOn is { } due
                ? Math.Max(0, due.DayNumber - job.Today.DayNumber) / 7.0 * workshop.EveningsPerWeek * workshop.MinutesPerEvening : null,
        };
        return (ground, size, washesFirst, cut, lies);
    }

    private static (IReadOnlyList<PlannedElement> Elements, LayerOrder Lying, IReadOnlyList<Crafts.Crafted> Crafts) ElementsOf(
        Job job, WordingGround ground, Workshop workshop, HeardOverrides overrides, string lies, List<Decision> decisions)
    {
        // What goes round others comes first: it leaves them the room inside it.
        var rounds = FramePlanner.Plan(job, ground, workshop, overrides);
        var many = job.Elements.Count - rounds.Planned.Count;
        var slots = Enumerable.Range(0, job.Elements.Count).Select(i =>
            Enumerable.Range(0, i).Count(k => !rounds.Planned.ContainsKey(k))).ToArray();
        var planned = Each(job.Elements.Count, i => At(i, Region.Empty));

        // What lies under others is planned once more without what they hide.
        var lying = LayerOrder.Of(planned.Select(p => p.Element).ToArray(), lies);
        for (var i = 0; i < planned.Length; i++)
        {
            if (lying.Over(i) is { IsEmpty: false } over)
            {
                planned[i] = At(i, over);
                if (planned[i].Element.Parts.Count == 0)
                {
                    lying.Hides(i);
                }
            }
        }

        decisions.AddRange(planned.SelectMany(p => p.Decisions));
        if (lying.Told(overrides.For("order.layers"), workshop.Habit("lying")) is { } told)
        {
            decisions.Add(told);
        }

        return (Colliding.Told(planned.Select(p => p.Element).ToArray(), job, ground.Field, lying), lying,
            planned.Select(p => p.Made).OfType<Crafts.Crafted>().ToArray());

        PlannedInCraft At(int index, Region over)
        {
            var inside = rounds.Inside with { Over = over };
            var wished = job.Elements[index];
            var (id, asked) = (wished.Id, wished.Craft);
            var decision = new DecisionKey("craft", index == 0 ? null : id);
            var crafts = new CraftPlanning(inside, overrides, workshop.HourlyRate);
            var craft = crafts.Settled(decision, asked);
            inside = inside with { Tinted = craft is { Keeps: Crafts.Kept.All }, Unfilled = craft is not null };
            var (element, its) = wished switch
            {
                TextElement words => new WordingPlanner(inside, workshop, overrides).Plan(words, index, slots[index], many),
                _ when rounds.Planned.TryGetValue(index, out var round) => over.IsEmpty ? round : rounds.Again[index](over),
                MotifElement motif => new MotifPlanner(inside, workshop, overrides).Plan(motif, index, slots[index], many),
                _ => throw new InvalidOperationException($"An element is of a kind that nobody plans: {wished.GetType().Name}."),
            };
            return crafts.Made(element, its, decision, asked);
        }
    }

    /// <summary>From so many elements on they are planned on all cores: each goes by its job alone.</summary>
    private const int ManyElements = 4;

    private static PlannedInCraft[] Each(int count, Func<int, PlannedInCraft> plan)
    {
        var planned = new PlannedInCraft[count];
        if (count < ManyElements)
        {
            for (var i = 0; i < count; i++)
            {
                planned[i] = plan(i);
            }

            return planned;
        }

        try
        {
            Parallel.For(0, count, i => planned[i] = plan(i));
        }
        catch (AggregateException e)
        {
            // What one of them ends with is what the plan ends with; that it is no longer wanted comes before all else.
            System.Runtime.ExceptionServices.ExceptionDispatchInfo.Throw(
                e.InnerExceptions.FirstOrDefault(x => x is OperationCanceledException) ?? e.InnerExceptions[0]);
        }

        return planned;
    }

    /// <summary>What an element is called at the head of a plan.</summary>
    internal static string Named(PlannedElement element) =>
        element.IsMotif ? Say.Upper(element.Text) : element.Text.ReplaceLineEndings(" ");

    /// <summary>Whether making up is part of the plan: a wish for none leaves it to her.</summary>
    internal static bool MakesUp(Job job) => job.MakeUp?.As != MakeUp.None;

    private static Called CalledBy(IReadOnlyList<PlannedElement> elements) =>
        elements.All(e => !e.IsMotif) ? Called.Words
        : elements.All(e => e.IsMotif) ? Called.Motifs(elements.Select(e => e.Text).ToArray())
        : Called.Both;

    private static Cutting Cut(IReadOnlyList<PlannedElement> elements, Worn worn, WordingGround ground, Workshop workshop,
        HeardOverrides overrides) => CuttingRoom.Settle(new CuttingQuestion(
            workshop.Habit("cut-length"),
            workshop.Habit("start"),
            workshop.Habit("finish"),
            workshop.Habit("strand-use"),
            workshop.Habit("strip"),
            elements.SelectMany(e => e.Parts).Select(p => p.Thread.Size).ToHashSet(),
            worn,
            overrides.For("thread.cut-length") is { } cut ? double.Parse(cut, CultureInfo.InvariantCulture) : null,
            overrides.For("thread.start"),
            overrides.For("thread.finish"),
            ground.Cloth.Coated,
            ground.Drawn.Stuffed,
            workshop.TakeUp));

    private static TransferQuestion Transfer(
        IReadOnlyList<PlannedElement> elements, IReadOnlyList<Crafts.Crafted> crafts, Called called, WordingGround ground, Held held,
            double hours, IReadOnlyList<string> colours,
        Workshop workshop, HeardOverrides overrides)
    {
        var box = Around(elements);
        var facts = new TransferFacts(
            ground.Cloth,
            workshop.Equipment.ToArray(),
            elements.Min(e => e.CapHeightMm),
            Math.Round(hours, 1),
            ground.Form.Use.MadeUp && ground.Form.Loose is null,
            elements.Min(e => e.LineWidthMm),
            colours.Select(c => Colour.Parse(c).ToLab().L).DefaultIfEmpty(0).Max(),
            held.School != School.InHand,
            workshop.Habit("draw"),
            workshop.Habit("marker"),
            workshop.Habit("hold-film"),
            ground.Drawn.Face.Fold is not null)
        {
            Called = called,
            Stuffed = ground.Drawn.Stuffed,
            Painted = crafts.Any(c => c.Work.Any(o => o.Leaves.Contains(Trace.FreshPaint))),
            Keepsake = ground.Worn.Lasts == "keepsake",
        };
        return new TransferQuestion(
            facts,
            box.Width + (2 * TransferRoom.CutMarginMm),
            box.Height + (2 * TransferRoom.CutMarginMm),
            elements.SelectMany(e => e.Parts).Sum(p => Polyline.Length(p.LineMm)),
            workshop.Paper,
            overrides.For("transfer.method"),
            overrides.For("transfer.marker"),
            overrides.For("transfer.stabiliser"));
    }

    /// <summary>The colours of dyed thread, which may run.</summary>
    private static string[] Dyed(IReadOnlyList<PlannedElement> elements) => elements.SelectMany(e => e.Parts).Where(p => p.Thread.Kind.Dyed)
        .Select(p => p.Colour).Distinct(StringComparer.Ordinal).ToArray();

    private static FinishQuestion Finish(
        IReadOnlyList<PlannedElement> elements, IReadOnlyList<Crafts.Crafted> crafts, Transferred transfer, Held held, Cutting cutting,
            IReadOnlyList<string> dyed,
        WordingGround ground, Workshop workshop, HeardOverrides overrides) => new(
        ground.Cloth,
        transfer.Marker,
        transfer.Method.Id,
        transfer.Stabiliser,
        transfer.Tacked,
        MarkerRules.OnCloth(transfer.Method),
        held.School == School.Hoop,
        dyed.Any(Palette.MayBleed),
        ground.Worn.OnSkin,
        ground.Worn.Washed,
        workshop.Equipment.Contains("iron", StringComparer.Ordinal),
        cutting.Start.ChoiceId,
        workshop.Habit("film-out"),
        transfer.Stabiliser.Has("film-on-top") ? overrides.For("finish.removal") : null,
        workshop.Habit("tail"),
        workshop.Habit("press"),
        overrides.For("finish.press"),
        ground.Drawn.Stuffed,
        ground.Form.Loose is not null)
        {
            OfCrafts = crafts.SelectMany(c => c.Care).ToArray(),
            Threads = elements.SelectMany(e => e.Parts).Select(p => p.Thread.Kind).Distinct().ToArray(),
        };

    private static PlannedSpace SpaceOf(WordingGround ground, IReadOnlyList<PlannedElement> elements)
    {
        var (drawn, zone) = (ground.Drawn, ground.Zone);
        var found = FindIt.Choose(drawn, zone, elements[0].BaselineMm);
        var looked = elements
            .Select(e => (e.Text.ReplaceLineEndings(" "), e.BaselineMm, e.BoxMm.Width, e.IsMotif ? Called.Motifs([e.Text]) : Called.Words))
            .ToArray();
        return new PlannedSpace(
            drawn.Face, zone.Id, zone.Name, zone.Ring, ground.Field.Rings, drawn.Obstacles, drawn.Landmarks, drawn.Behind, drawn.Over ?? [],
            drawn.Picture, found.Across, found.Level, FindIt.Steps(drawn, zone, looked, ground.Cloth.Kind.Knit),
            Snaps.For(drawn, zone, ground.Field, StandingOf(elements[0])));
    }

    /// <summary>Only a habit that she has settled herself is one that can be set aside.</summary>
    private static Decision OwnHabits(Decision decision, Workshop workshop)
    {
        bool Hers(Habit habit) => decision.Key.Id == habit.ToldAt
            && workshop.Habits.TryGetValue(habit.Id, out var choice) && choice != habit.Default;
        return decision.NotFollowed is null || decision.UnfollowedWish || Habits.All.Any(Hers)
            ? decision : decision with { NotFollowed = null };
    }

    private static IEnumerable<Caution> At(Station station, IEnumerable<Caution> cautions) => cautions.Select(c => c with { At = station });

    internal static Decision Price(double rate, double minutes)
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

    private static Standing StandingOf(PlannedElement e)
    {
        var top = e.BaselineMm.Y - (((e.Rows.Count - 1) * Setting.RowPitch) + 1) * e.CapHeightMm;
        return new Standing(e.CentreMm, top, e.BaselineMm.Y, e.BoxMm.X, e.BoxMm.Y, e.BoxMm.X + e.BoxMm.Width, e.BoxMm.Y + e.BoxMm.Height);
    }

    private static Box Around(IReadOnlyList<PlannedElement> elements)
    {
        var (x, y) = (elements.Min(e => e.BoxMm.X), elements.Min(e => e.BoxMm.Y));
        return new Box(x, y, elements.Max(e => e.BoxMm.X + e.BoxMm.Width) - x, elements.Max(e => e.BoxMm.Y + e.BoxMm.Height) - y);
    }
}
