using Dittany.Core.Effort;
using Dittany.Core.Materials;
using Dittany.Core.Telling;

namespace Dittany.Core.Finishing;

/// <summary>How it is finished and looked after.</summary>
public sealed record Finished(
    IReadOnlyList<string> Removal,
    IReadOnlyList<string> Finish,
    IReadOnlyList<string> Care,
    double DryMinutes,
    IReadOnlyList<StepMinutes> Before,
    IReadOnlyList<StepMinutes> After,
    IReadOnlyList<Decision> Decisions,
    IReadOnlyList<Caution> Cautions);

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

    public static IReadOnlyList<Choice> Tails { get; } = [new("close", "Cut close to the stitches"), new("leave-a-little", "Cut with 5 mm left")];

    /// <summary>Hands-on minutes: rinsing, a machine wash, untacking and trimming, pressing, covering the back (from memory).</summary>
    public const double RinseMinutes = 10;

    public const double MachineMinutes = 3;

    public const double UntackMinutes = 4;

    public const double PressMinutes = 5;

    public const double CoverMinutes = 4;

    /// <summary>Line drying in hours (from memory): linen and woven 6, jersey 10, terry and fleece 24.</summary>
    public static double DryHours(Cloth cloth) => cloth.Pile != Pile.None ? 24 : cloth.Kind.Knit ? 10 : 6;

    public static Finished Settle(FinishQuestion q)
    {
        var cautions = new List<Caution>();
        if (q.Wet && !q.Cloth.Washable)
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, "What marks or holds this work is washed out, and the cloth must not be washed."));
        }

        var usual = q.Cloth.MaxIron == IronLimit.None || q.Cloth.Pile == Pile.Deep || !q.Iron ? "no-press" : q.PressHabit;
        var press = q.HersPress ?? usual;
        if (press != "no-press" && q.Cloth.MaxIron == IronLimit.None)
        {
            cautions.Add(new Caution(CautionKind.Item, Severity.Stop, "This cloth takes no iron at all."));
        }

        var before = new List<StepMinutes>();
        if (q.Tacked || q.Has("film-on-top"))
        {
            before.Add(new("untacking and trimming", UntackMinutes));
        }

        if (q.Wet)
        {
            before.Add(new("rinsing out", q.ByMachine ? MachineMinutes : RinseMinutes));
        }

        var after = press == "no-press" ? new List<StepMinutes>() : [new("pressing", PressMinutes)];
        if (q.OnSkin)
        {
            after.Add(new("covering the back", CoverMinutes));
        }

        return new Finished(RemovalRules.For(q), Steps(q, press), Care(q), q.Wet ? DryHours(q.Cloth) * 60 : 0, before, after, [Deciding.ByHabit(habit => Removing(q, habit), q.FilmOutHabit, q.HersFilmOut, q.Has("film-on-top") ? FilmOuts : []), Pressing(q, usual, press)], cautions);
    }

    private static List<string> Steps(FinishQuestion q, string press)
    {
        var finish = new List<string>
        {
            q.TailHabit == "close" ? "Cut woven-in ends close to the stitches, so that none shows from the front." : "Cut woven-in ends with 5 mm left, so that they hold in wear.",
        };
        if (q.Wet)
        {
            finish.Add("Roll it in a towel, do not wring, and dry it flat or on a line out of the sun.");
        }

        finish.Add(press switch
        {
            "face-down-steam" => $"Press face down on a folded towel, with steam, {Setting(q.Cloth)}: the stitches sink in and are not flattened.",
            "face-down-dry" => $"Press face down on a folded towel, no steam, {Setting(q.Cloth)}.",
            _ => "Do not press; smooth it with a damp hand and let it hang.",
        });
        if (q.Hooped)
        {
            finish.Add("The ring of the hoop presses out now, and not before every mark and all film is gone.");
        }

        if (q.OnSkin)
        {
            finish.Add(q.Cloth.MaxIron is IronLimit.None or IronLimit.OneDot || !q.Iron
                ? "Sew a soft cover over the back of the stitches, so that nothing rubs on the skin."
                : "Fuse a soft cover over the back of the stitches, 10 mm wider all round, so that nothing rubs on the skin.");
        }

        return finish;
    }

    private static Decision Removing(FinishQuestion q, string habit)
    {
        var film = q.Has("film-on-top");
        var choice = film ? FilmOuts.First(f => f.ChoiceId == habit) : new Choice(q.Wet ? "by-hand" : "dry", q.Wet ? "Washed out by hand" : "Nothing wet");
        return Deciding.Make(
            "finish.removal", Station.Finish, "How marks and film come out", choice, null,
            [
                q.Wet ? "Threads out first, then plain cold water, then warm, soap after that: soap, heat and sun can set what cold water takes." : "Nothing here is taken out with water.",
                Tails.First(t => t.ChoiceId == q.TailHabit).Text + ": ends are woven in before anything is washed.",
            ],
            ["Another marker or stabiliser, or your habit of taking film out."]);
    }

    private static Decision Pressing(FinishQuestion q, string usual, string press) => Deciding.Make(
        "finish.press",
        Station.Finish,
        "How it is pressed",
        Presses.First(p => p.ChoiceId == usual),
        q.HersPress is null ? null : Presses.First(p => p.ChoiceId == press),
        [
            press != "no-press" ? "From behind, on something soft, the stitches keep their roundness."
                : q.Cloth.MaxIron == IronLimit.None ? "The cloth takes no iron."
                : q.Cloth.Pile == Pile.Deep ? "An iron would flatten the pile."
                : !q.Iron ? "There is no iron."
                : "Without the iron nothing is flattened.",
            "Water first, the iron last: heat can set what water would have taken.",
        ],
        ["A cloth that bears less heat, or your habit of pressing."],
        Presses);

    /// <summary>The care card follows the weakest of cloth, thread and backing.</summary>
    private static List<string> Care(FinishQuestion q)
    {
        var care = new List<string>
        {
            !q.Cloth.Washable ? "Do not wash; have it cleaned."
                : q.Washed == "never" ? "Not meant to be washed: brush the dust off, and take spots out with a damp cloth."
                : !q.Cloth.Kind.Soakable ? "Wash by hand, cool and quick, without soaking."
                : q.Washed == "by-hand" ? "Wash by hand at up to 30 °C, and dry it lying flat."
                : q.ThreadMayBleed ? "Wash at 30 °C with like colours the first three times."
                : $"Wash at {Math.Min(40, q.Cloth.WashC)} °C, inside out or in a bag.",
        };
        if (q.Cloth.Washable)
        {
            care.Add("No bleach, no tumble drying on hot.");
        }

        care.Add(q.Cloth.MaxIron == IronLimit.None || q.Cloth.Pile == Pile.Deep ? "Do not iron." : $"Iron from behind, {Setting(q.Cloth)}.");
        if (q.OnSkin)
        {
            care.Add("Look at the back now and then: a loose end is cut or sewn in before it is worn again.");
        }

        return care;
    }

    private static string Setting(Cloth cloth) => cloth.MaxIron switch
    {
        IronLimit.ThreeDots => "up to three dots (200 °C)",
        IronLimit.TwoDots => "up to two dots (150 °C)",
        IronLimit.OneDot => "one dot (110 °C)",
        _ => "cold",
    };
}
