using Dittany.Core.Materials;

namespace Dittany.Core.Effort;

public enum Skill
{
    Learner,
    Practised,
    Expert,
}

/// <summary>Minutes one kind of work takes.</summary>
public sealed record StepMinutes(string Step, double Minutes);

/// <summary>What the hands do at the needle: by kinds of work.</summary>
public sealed record StitchingEffort(IReadOnlyList<StepMinutes> Steps)
{
    public double Minutes => Steps.Sum(s => s.Minutes);
}

/// <summary>Minutes at the needle, from counts and paces.</summary>
public static class EffortRoom
{
    /// <summary>First hooping of woven and of knitted cloth, and each move, in minutes (from memory).</summary>
    public const double FirstHoopingMinutes = 2;

    public const double FirstHoopingKnitMinutes = 5;

    public const double MoveHoopMinutes = 3;

    /// <summary>Pace against a skilled hand (from memory).</summary>
    public static double SkillFactor(Skill skill) => skill switch { Skill.Expert => 1.0, Skill.Practised => 1.5, _ => 2.5 };

    /// <summary>Pace on this cloth (from memory): jersey and dark cloth 1.2, canvas 1.3; the slower counts.</summary>
    public static double ClothFactor(Cloth cloth) =>
        Math.Max(cloth.Kind.Id == "canvas" ? 1.3 : 1.0, cloth.Kind.Knit || cloth.Dark ? 1.2 : 1.0);

    /// <summary>Minutes for stitches (count and seconds each for a skilled hand), runs, and hoopings.</summary>
    public static StitchingEffort Stitching(IReadOnlyList<(int Count, double SecondsEach)> stitches, int runs, double startMinutes, double finishMinutes, int hoopings, Cloth cloth, Skill skill)
    {
        var factor = SkillFactor(skill) * ClothFactor(cloth);
        var steps = new List<StepMinutes>
        {
            new("stitching", stitches.Sum(s => s.Count * s.SecondsEach) * factor / 60),
            new("threads begun and ended", runs * (startMinutes + finishMinutes)),
        };
        if (hoopings > 0)
        {
            steps.Add(new("hooping", (cloth.Kind.Knit ? FirstHoopingKnitMinutes : FirstHoopingMinutes) + ((hoopings - 1) * MoveHoopMinutes)));
        }

        return new StitchingEffort(steps);
    }
}
