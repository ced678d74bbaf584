using Dittany.Core.Decisions;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Operations;

namespace Dittany.Core.Effort;

public enum Skill
{
    Learner,
    Practised,
    Expert,
}

/// <summary>What the hands do at hoop and needle.</summary>
public sealed record StitchingEffort(IReadOnlyList<Operation> Work)
{
    /// <summary>Likely minutes of all of it.</summary>
    public double Minutes => Work.Sum(o => o.By.Sum(s => s.Minutes));
}

/// <summary>Who stitches on what: what the pace hangs on. <paramref name="Skims"/>: the needle goes in and out in one move.</summary>
public sealed record Pace(Cloth Cloth, Skill Skill, bool Skims);

/// <summary>Minutes at the needle, from counts and paces.</summary>
public static class EffortRoom
{
    /// <summary>First hooping of woven and of knitted cloth, and each move, in minutes (from memory).</summary>
    public const double FirstHoopingMinutes = 2;

    public const double FirstHoopingKnitMinutes = 5;

    public const double MoveHoopMinutes = 3;

    /// <summary>Skimming against stabbing: faster, less exact (common practice; the figure from memory).</summary>
    public const double SkimFactor = 0.85;

    private static readonly (string Name, Func<Cloth, bool> When, double Factor, string Source)[] ClothFactors =
    [
        ("coated cloth, as backpacks are", c => c.Coated, 1.6, "from memory"),
        ("canvas", c => c.Kind.Structure == Structure.Canvas, 1.3, "from memory"),
        ("knit", c => c.Kind.Knit, 1.2, "from memory"),
        ("dark cloth", c => c.Dark, 1.2, "from memory"),
    ];

    /// <summary>Pace against a skilled hand (from memory).</summary>
    public static double SkillFactor(Skill skill) => skill switch { Skill.Expert => 1.0, Skill.Practised => 1.5, _ => 2.5 };

    /// <summary>Pace on this cloth: the slowest that holds.</summary>
    public static double ClothFactor(Cloth cloth) => ClothFactors.Where(f => f.When(cloth)).Select(f => f.Factor).DefaultIfEmpty(1.0).Max();

    /// <summary>Minutes of stitching alone, from the seconds that its stitches take a skilled hand.</summary>
    public static double StitchingMinutes(double seconds, Pace pace) =>
        seconds * SkillFactor(pace.Skill) * ClothFactor(pace.Cloth) * (pace.Skims ? SkimFactor : 1) / 60;

    /// <summary>
    /// Hooping and stitching as operations: minutes for stitches (given by the seconds they take a skilled hand), for threads begun and
    /// ended, and for placings of the ring. <paramref name="hooped"/> says each placing in a line, <paramref name="threads"/> what is used
    /// up, <paramref name="leaves"/> what the stitches are to whatever comes after.
    /// </summary>
    public static StitchingEffort Stitching(
        double seconds, double threadMinutes, IReadOnlyList<Told> hooped, Pace pace, IReadOnlyList<Use>? threads = null,
        IReadOnlyList<Trace>? leaves = null)
    {
        var work = new List<Operation>();
        if (hooped.Count > 0)
        {
            var first = pace.Cloth.Kind.Knit ? FirstHoopingKnitMinutes : FirstHoopingMinutes;
            work.Add(new("hoop", OpKind.Hoop, Station.Hoop, Place.Hoop, [new("hooping", first + ((hooped.Count - 1) * MoveHoopMinutes))],
                hooped));
        }

        work.Add(new(
            "stitch", OpKind.Stitch, Station.Stitches, Place.Needle,
            [new("stitching", StitchingMinutes(seconds, pace)), new("threads begun and ended", threadMinutes)], [], Uses: threads)
        { Clears = [Trace.MarkForHeat], Leaves = leaves ?? [] });
        return new StitchingEffort(work);
    }
}
