using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Route;

/// <summary>What decides how far thread may lie free behind.</summary>
public sealed record FloatFacts(Cloth Cloth, Worn Worn, FormUse Use, string FormName, bool ThreadShows, string CarryHabit,
    string JumpHabit, string One = "letter", bool BackSeen = false);

/// <summary>How far a thread may go free, and whether every letter ends its own, with why.</summary>
public sealed record FloatRule(double StraightUpToMm, bool LetterEndsThread, IReadOnlyList<Told> Because);

/// <summary>Rules for floats by cloth, wearer and use. The shortest limit that holds is taken.</summary>
public static class FloatRules
{
    /// <summary>A jump may go straight up to this far (common practice).</summary>
    public const double UsualMm = 10;

    /// <summary>On napkins and towels only what cannot be caught (from memory).</summary>
    public const double HandledMm = 5;

    /// <summary>Where the back is seen only the way to the next stroke (from memory).</summary>
    public const double BackSeenMm = 3;

    private static readonly (string Name, Func<FloatFacts, bool> When, double LimitMm, Func<FloatFacts, Told> Because,
        string Source)[] Limits =
    [
        ("on skin", f => f.Worn.OnSkin, Wearing.MostBehindOnSkinMm, f => f.Worn.Baby
            ? "for it lies on skin, and a longer loop catches a finger or a toe"
            : "for it lies on skin, and a longer loop rubs and is caught", "common practice; the figure from memory"),
        ("handled", f => f.Use.Handled, HandledMm, f => $"for {Say.A(f.FormName)} is used and washed, and a longer loop is caught",
            "common practice; the figure from memory"),
        ("back seen", f => f.BackSeen, BackSeenMm, _ => "for the back is seen on the outside", "from memory"),
        ("usual", _ => true, UsualMm, _ => "for a longer one pulls and shows", "common practice"),
    ];

    public static FloatRule For(FloatFacts facts)
    {
        var limit = facts.JumpHabit == "ten" ? Limits[^1] : Limits.Where(l => l.When(facts)).MinBy(l => l.LimitMm);
        var because = new List<Told>();
        var sheer = facts.Cloth.Opacity == Opacity.Sheer && facts.ThreadShows;
        var cut = facts.CarryHabit == "cut-each-letter";
        if (sheer)
        {
            because.Add($"The cloth is sheer and the thread would show through, so every {facts.One} ends its own thread.");
        }
        else if (cut)
        {
            because.Add($"By your habit every {facts.One} ends its own thread.");
        }
        else if (facts.Cloth.Opacity == Opacity.Sheer)
        {
            because.Add("The cloth is sheer, but the thread is so like it that it does not show through.");
        }

        if (facts.JumpHabit == "ten" && Limits.Where(l => l.When(facts)).Any(l => l.LimitMm < limit.LimitMm))
        {
            because.Add($"By your habit jumps go up to {Say.Length(limit.LimitMm)} here too; shorter ones are kinder where they can be "
                + $"caught.");
        }

        because.Add($"Behind, nothing longer than {Say.Length(limit.LimitMm)} floats, {limit.Because(facts)}. Longer ways go under "
            + $"stitches already there, or the thread ends.");
        return new FloatRule(limit.LimitMm, sheer || cut, because);
    }
}
