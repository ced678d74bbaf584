using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Finishing;

/// <summary>
/// How it is finished and looked after; <paramref name="Gentlest"/> names what of thread and crafts asks for the gentlest cleaning, empty
/// where nothing does.
/// </summary>
public sealed record Finished(
    IReadOnlyList<Operation> Work,
    Care Care,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions,
    IReadOnlyList<string> Gentlest);

/// <summary>Marks and stabiliser out in the order that works, pressing, care.</summary>
public static class FinishRoom
{
    public static IReadOnlyList<Choice> Presses { get; } =
    [
        new("face-down-steam", "Press face down on a towel, with steam"),
        new("face-down-dry", "Press face down on a towel, dry"),
        new("no-press", "Do not press"),
    ];

    public static IReadOnlyList<Choice> FilmOuts { get; } = [new("by-hand", "Soaked out by hand"), new("machine", "Machine-washed out")];

    public static IReadOnlyList<Choice> Tails { get; } = [new("close", "Cut close to the stitches"),
        new("leave-a-little", $"Cut with {Say.Length(5)} left")];

    /// <summary>Hands-on minutes: rinsing, a machine wash, untacking and trimming, pressing, covering the back (from memory).</summary>
    public const double RinseMinutes = 10;

    public const double MachineMinutes = 3;

    public const double UntackMinutes = 4;

    public const double PressMinutes = 5;

    public const double CoverMinutes = 4;

    public static Finished Settle(FinishQuestion q)
    {
        var cautions = new List<Caution>();
        if (q.Wet && !q.Cloth.Washable)
        {
            cautions.Add(new Caution("finish.water", CautionKind.Item, Severity.Stop,
                "What marks or holds this work is washed out, and the cloth must not be washed."));
        }

        var (bears, care) = (q.Bears, Care.Of(CareRules.ForGood(q)));
        var usual = bears.Iron == IronLimit.None || !q.Iron ? "no-press" : Borne(q.PressHabit, q, bears);
        var press = q.HersPress is { } hers ? Borne(hers, q, bears) : usual;
        if (press != "no-press" && bears.Iron == IronLimit.None)
        {
            cautions.Add(new Caution("finish.press", CautionKind.Item, Severity.Stop,
                q.Cloth.MaxIron == IronLimit.None ? "This cloth takes no iron at all."
                    : q.Cloth.Pile == Pile.Deep ? "An iron flattens this pile for good." : "What is stuffed takes no iron."));
        }

        if (press != "no-press" && bears.Iron != IronLimit.None && !q.Iron)
        {
            cautions.Add(new Caution("finish.press", CautionKind.Item, Severity.Stop, "It is to be pressed, and there is no iron."));
        }

        return new Finished(WorkOf(q, press, bears), care, [Removal(q, bears), Pressing(q, bears, usual, press)], cautions,
            [.. q.Threads.Select(t => t.Care).Concat(q.OfCrafts).Where(l => l.Clean > Cleaning.Machine && l.Clean == care.Clean)
                .Select(l => l.Rule).Distinct(StringComparer.Ordinal)]);
    }

    /// <summary>
    /// What comes out dry, then with water; ends cut; dried; what is brushed, trimmed or ironed out; pressed, and covered behind.
    /// </summary>
    private static List<Operation> WorkOf(FinishQuestion q, string press, Care bears)
    {
        var work = new List<Operation>();
        var dry = RemovalRules.For(q, Removing.Dry);
        var untacks = q.Tacked || q.Has("film-on-top");
        if (dry.Count > 0 || untacks)
        {
            work.Add(Of("remove", OpKind.Remove, Place.Table, untacks ? [new("untacking and trimming", UntackMinutes)] : [], dry));
        }

        var wet = RemovalRules.For(q, Removing.WithWater);
        if (q.Wet || wet.Count > 0)
        {
            work.Add(Of("rinse", OpKind.Remove, Place.Sink, q.Wet ? [new("rinsing out", q.ByMachine ? MachineMinutes : RinseMinutes)] : [],
                wet) with
            {
                Water = new Watering(RemovalRules.WarmestC(q), !q.Cloth.Coated),
                Clears = [Trace.MarkForWater, Trace.Film],
            });
        }

        work.Add(Of("ends", OpKind.Sew, Place.Needle, [],
            [q.Stuffed ? (Told)$"Run every end inside: in beside the last stitch, out {Say.Length(40)} on, drawn tight and cut flush."
            : q.TailHabit == "close" ? (Told)"Cut woven-in ends close to the stitches, so that none shows from the front."
            : (Told)$"Cut woven-in ends with {Say.Length(5)} left, so that they hold in wear."]));
        if (q.Wet)
        {
            work.Add(Of("dry", OpKind.Dry, Place.Line, [],
                [q.Cloth.Coated ? "Let it dry hanging open, out of the sun."
                    : bears.Flat ? "Roll it in a towel, do not wring, and dry it lying flat, out of the sun."
                    : "Roll it in a towel, do not wring, and dry it flat or on a line out of the sun."])
                with
            { Wait = new Wait(WaitKind.Drying, Beforehand.DryHours(q.Cloth) * 60) });
        }

        Add("trim", Place.Table, RemovalRules.For(q, Removing.OnceDry));
        if (RemovalRules.For(q, Removing.WithHeat) is { Count: > 0 } ironed)
        {
            work.Add(Of("iron-out", OpKind.Remove, Place.Iron, [], ironed) with { Iron = new Ironing(bears.Iron), Clears = [Trace.MarkForHeat] });
        }

        work.Add(Of(
            "press", OpKind.Press, press == "no-press" ? Place.Table : Place.Iron, press == "no-press" ? []
                : [new("pressing", PressMinutes)],
            [
                press switch
                {
                    "face-down-steam" => $"{Pressed(bears)}, with steam: the stitches sink in and are not flattened.",
                    "face-down-dry" when (q.HersPress ?? q.PressHabit) == "face-down-steam" && WithoutSteam(q, bears) is { } why =>
                        $"{Pressed(bears)}, without steam: {why}.",
                    "face-down-dry" => $"{Pressed(bears)}, no steam.",
                    _ when q.Stuffed => "Do not press: turn it in the light and smooth the stitches with a fingernail.",
                    _ when bears.Clean == Cleaning.Cleaner => "Do not press; brush it with a soft brush, the way it lies, and let it hang.",
                    _ => "Do not press; smooth it with a damp hand and let it hang.",
                },
                .. q.Hooped && press != "no-press" ? ["The ring of the hoop presses out now, and not before every mark and all film is gone."]
                    : Array.Empty<string>(),
            ]) with
        {
            Iron = press == "no-press" ? null : new Ironing(bears.Iron, press == "face-down-steam"),
        });
        if (q.OnSkin && !q.Stuffed)
        {
            work.Add(Of(
                "cover", OpKind.Sew, Place.Needle, [new("covering the back", CoverMinutes)],
                [!FusesCover(q, bears)
                    ? "Sew a soft cover over the back of the stitches, so that nothing rubs on the skin."
                    : (Told)($"Fuse a soft cover over the back of the stitches, {Say.Length(10)} wider all round, so that nothing rubs on "
                        + $"the skin.")]));
        }

        return work;

        void Add(string id, Place at, IReadOnlyList<Told> steps)
        {
            if (steps.Count > 0)
            {
                work.Add(Of(id, OpKind.Remove, at, [], steps));
            }
        }

        static Operation Of(string id, OpKind kind, Place at, IReadOnlyList<StepMinutes> by, IReadOnlyList<Told> steps) =>
            new(id, kind, Station.Finish, at, by, steps);
    }

    /// <summary>Whether a soft cover may be fused on: it takes two dots (ISO 3758).</summary>
    private static bool FusesCover(FinishQuestion q, Care bears) => q.Iron && bears.Iron >= IronLimit.TwoDots;

    private static string Pressed(Care bears) =>
        $"Press face down on a folded towel{(bears.ThroughCloth ? " and through a cloth" : string.Empty)}, {Cloths.SettingOf(bears.Iron)}";

    /// <summary>Why no steam comes to it; null where it may.</summary>
    private static string? WithoutSteam(FinishQuestion q, Care bears) =>
        !bears.Steam ? bears.IronWhy ?? "the thread does not bear it"
        : bears.Iron == IronLimit.OneDot ? "an iron of one dot gives none"
        : !q.Cloth.Kind.Soakable ? "the cloth bears no more wet than it bears soaking" : null;

    /// <summary>How film comes out: by her habit or wish, and by hand where a machine would spoil what is on the piece.</summary>
    private static Decision Removal(FinishQuestion q, Care bears)
    {
        var film = q.Has("film-on-top");
        if (!film || bears.Clean == Cleaning.Machine)
        {
            return Deciding.ByHabit(habit => HowRemoved(q, habit), q.FilmOutHabit, q.HersFilmOut, film ? FilmOuts : []);
        }

        var byHand = HowRemoved(q, FilmOuts[0].ChoiceId);
        return (q.HersFilmOut ?? q.FilmOutHabit) != FilmOuts[1].ChoiceId ? byHand : byHand with
        {
            NotFollowed = ["Washing the film out in the machine is not followed: what is on the piece is washed by hand only. Take another thread or cloth."],
            UnfollowedWish = q.HersFilmOut is not null,
        };
    }

    private static Decision HowRemoved(FinishQuestion q, string habit)
    {
        var film = q.Has("film-on-top");
        var choice = film ? FilmOuts.First(f => f.ChoiceId == habit)
            : new Choice(q.Wet ? "by-hand" : "dry", !q.Wet ? "Nothing wet" : q.Cloth.Coated ? "Sponged off by hand"
                : "Washed out by hand");
        return Deciding.Make(
            "finish.removal", Station.Finish, "How marks and film come out", choice, null,
            [
                q.Wet ? "Threads out first, then plain cold water, then warm, soap after that: soap, heat and sun can set what cold water "
                    + "takes." : "Nothing here is taken out with water.",
                .. q.Stuffed ? Array.Empty<Told>()
                    : [Tails.First(t => t.ChoiceId == q.TailHabit).Text + ": ends are woven in before anything is washed."],
            ],
            ["Another marker or stabiliser, or your habit of taking film out."]);
    }

    /// <summary>A way of pressing as this piece bears it: dry where it bears no steam.</summary>
    private static string Borne(string press, FinishQuestion q, Care bears) =>
        press == "face-down-steam" && WithoutSteam(q, bears) is not null ? "face-down-dry" : press;

    private static Decision Pressing(FinishQuestion q, Care bears, string usual, string press)
    {
        var why = WithoutSteam(q, bears);
        var unfollowed = q.HersPress is not null && press != q.HersPress;
        var decision = Deciding.Make(
            "finish.press",
            Station.Finish,
            "How it is pressed",
            Presses.First(p => p.ChoiceId == (unfollowed ? press : usual)),
            q.HersPress is null || unfollowed ? null : Presses.First(p => p.ChoiceId == press),
            [
                press != "no-press" ? "From behind, on something soft, the stitches keep their roundness."
                    : q.Stuffed ? "What is stuffed is not pressed."
                    : q.Cloth.MaxIron == IronLimit.None ? "The cloth takes no iron."
                    : q.Cloth.Pile == Pile.Deep ? "An iron would flatten the pile."
                    : !q.Iron ? "There is no iron."
                    : "Without the iron nothing is flattened.",
                .. press == "face-down-dry" && q.HersPress is null && q.PressHabit == "face-down-steam" && why is not null
                    ? [$"No steam: {why}."] : Array.Empty<Told>(),
                .. press != "no-press" && q.Wet ? ["Water first, the iron last: heat can set what water would have taken."]
                    : Array.Empty<Told>(),
            ],
            ["A cloth that bears less heat, or your habit of pressing."],
            Presses);
        return !unfollowed ? decision : decision with
        {
            NotFollowed = [$"Steam is not followed: {why}. It is pressed dry."],
            UnfollowedWish = true,
        };
    }
}
