using System.Globalization;
using Dittany.Core.Effort;
using Dittany.Core.Measures;

namespace Dittany.Core.Jobs;

/// <summary>
/// Reads and changes members of a workshop by name, so that two who change different members do not lose each other's. Habits are
/// <c>habits/</c> with their id.
/// </summary>
public static class WorkshopChanges
{
    public const string HabitPrefix = "habits/";

    /// <summary>How wide threads of hers lie, mm: <c>cotton=0.42 wool=0.8</c>.</summary>
    public const string ThreadWidths = "threadWidthsMm";

    /// <summary>What her stitching takes over what geometry says; empty for the usual.</summary>
    public const string TakeUp = "takeUp";

    /// <summary>What her trials have shown: <c>jersey=0.9</c>, a share of the usual opening for each cloth.</summary>
    public const string Trials = "trials";

    /// <summary>The threads she has: name, colour and kind of each, parted by tabs, a row each.</summary>
    public const string Threads = "threads";

    /// <summary>
    /// What was learnt of her pace: <c>stitching=1.2 stitching.low=0.85 stitching.high=1.2 stitching.pieces=9</c>; empty for nothing.
    /// </summary>
    public const string Paces = "paces";

    /// <summary>Members that can be changed, habits apart.</summary>
    public static IReadOnlyList<string> Members { get; } = ["equipment", "skill", "eveningsPerWeek", "minutesPerEvening", "hourlyRate",
        "paper", "hoopsMm", "units", ThreadWidths, TakeUp, Threads, Trials, Paces];

    /// <summary>The value of a member as a change would write it. A habit that follows the default reads as that default.</summary>
    public static string Read(Workshop workshop, string member) => member switch
    {
        "equipment" => string.Join(' ', workshop.Equipment),
        "skill" => workshop.Skill.ToString().ToLowerInvariant(),
        "eveningsPerWeek" => workshop.EveningsPerWeek.ToString(CultureInfo.InvariantCulture),
        "minutesPerEvening" => workshop.MinutesPerEvening.ToString("R", CultureInfo.InvariantCulture),
        "hourlyRate" => workshop.HourlyRate.ToString("R", CultureInfo.InvariantCulture),
        "paper" => workshop.Paper,
        "hoopsMm" => string.Join(' ', workshop.HoopsMm.Select(h => h.ToString("R", CultureInfo.InvariantCulture))),
        "units" => workshop.Units.ToString().ToLowerInvariant(),
        ThreadWidths => Written(workshop.ThreadWidthsMm),
        Trials => Written(workshop.Trials),
        Paces => Written(workshop.Paces),
        TakeUp => workshop.MeasuredTakeUp?.ToString("R", CultureInfo.InvariantCulture) ?? string.Empty,
        Threads => string.Join('\n', workshop.Threads.Select(t => $"{t.Name}\t{t.Hex}\t{t.Kind}")),
        _ when member.StartsWith(HabitPrefix, StringComparison.Ordinal) && Habits.Find(member[HabitPrefix.Length..]) is { } habit =>
            workshop.Habit(habit.Id),
        _ => string.Empty,
    };

    /// <summary>Whether a workshop has a member of this name; a habit is one where the book of habits has it.</summary>
    public static bool Knows(string member) => !member.StartsWith(HabitPrefix, StringComparison.Ordinal)
        || Habits.Find(member[HabitPrefix.Length..]) is not null;

    /// <summary>
    /// The workshop with one member changed. A value that is not of its member's kind is a fault naming it; whether it makes sense is left
    /// to <see cref="JobCheck"/>.
    /// </summary>
    public static (Workshop? Workshop, ValidationError? Fault) Apply(Workshop workshop, string member, string value)
    {
        var words = value.Split([' ', ','], StringSplitOptions.RemoveEmptyEntries);
        switch (member)
        {
            case "equipment":
                return (workshop with { Equipment = words }, null);
            case "skill":
                return Named<Skill>(value) is { } skill ? (workshop with { Skill = skill }, null)
                    : Fault("#/workshop/skill", value, "a pace", "learner, practised or expert");
            case "units":
                return Named<Units>(value) is { } units ? (workshop with { Units = units }, null)
                    : Fault("#/workshop/units", value, "a unit", "centimetres or inches");
            case "eveningsPerWeek":
                return Number(value) is { } perWeek && perWeek == Math.Floor(perWeek) && Math.Abs(perWeek) < 1000
                    ? (workshop with { EveningsPerWeek = (int)perWeek }, null)
                    : Fault("#/workshop/eveningsPerWeek", value, "a whole number", "0 to 7");
            case "minutesPerEvening":
                return Number(value) is { } minutes ? (workshop with { MinutesPerEvening = minutes }, null)
                    : Fault("#/workshop/minutesPerEvening", value, "a number", "minutes, such as 60");
            case "hourlyRate":
                return Number(value) is { } rate ? (workshop with { HourlyRate = rate }, null)
                    : Fault("#/workshop/hourlyRate", value, "a number", "what an hour is worth, such as 12.5, or 0");
            case "paper":
                return (workshop with { Paper = value }, null);
            case "hoopsMm":
                var hoops = words.Select(Number).ToArray();
                return hoops.All(h => h is not null) ? (workshop with
                {
                    HoopsMm = hoops.Select(h =>
                    h.Sure()).Distinct().Order().ToArray()
                }, null)
                    : Fault("#/stash/hoopsMm", value, "a list of sizes", "nominal millimetres, such as 102 127");
            case ThreadWidths:
                return Numbers(words) is { } widths ? (workshop with { ThreadWidthsMm = widths }, null)
                    : Fault("#/workshop/threadWidthsMm", value, "a list of widths", "the kind and mm, such as cotton=0.42");
            case Trials:
                return Numbers(words) is { } shares ? (workshop with { Trials = shares }, null)
                    : Fault("#/workshop/trials", value, "a list of trials", "the cloth and a share, such as jersey=0.9");
            case Paces:
                return Numbers(words) is { } paces ? (workshop with { Paces = paces }, null)
                    : Fault("#/workshop/paces", value, "a list of paces", "the work and how many times as long, such as stitching=1.2");
            case TakeUp:
                return value.Trim().Length == 0 ? (workshop with { MeasuredTakeUp = null }, null)
                    : Number(value) is { } takeUp ? (workshop with { MeasuredTakeUp = takeUp }, null)
                    : Fault("#/workshop/takeUp", value, "a number", "what is used over what is reckoned, such as 1.1");
            case Threads:
                var rows = value.Split('\n', StringSplitOptions.RemoveEmptyEntries).Select(r => r.Split('\t')).ToArray();
                return rows.All(r => r.Length == 3) ? (workshop with
                {
                    Threads = rows.Select(r => new Materials.OwnThread(r[0], r[1].ToLowerInvariant(), r[2])).ToArray(),
                }, null)
                    : Fault("#/stash/threads", "the list", "a list of threads", "name, colour and kind of each");
            default:
                if (!member.StartsWith(HabitPrefix, StringComparison.Ordinal))
                {
                    return (null, new ValidationError($"#/{member}", $"There is no member '{member}' to change.",
                        "Use one of the members of a workshop."));
                }

                return (workshop with
                {
                    Habits = new Dictionary<string,
                    string>(workshop.Habits, StringComparer.Ordinal)
                    { [member[HabitPrefix.Length..]] = value }
                }, null);
        }
    }

    private static string Written(IReadOnlyDictionary<string, double> numbers) => string.Join(' ', numbers.OrderBy(n => n.Key,
        StringComparer.Ordinal).Select(n => string.Create(CultureInfo.InvariantCulture, $"{n.Key}={n.Value:R}")));

    /// <summary>Named numbers as they are written; null where one of them is none.</summary>
    private static Dictionary<string, double>? Numbers(string[] words)
    {
        var numbers = words.Select(w =>
            w.Split('=') is [var name, var number] && Number(number) is { } n ? (Name: name, N: n) : default).ToArray();
        return numbers.Any(n => n.Name is null) ? null
            : numbers.DistinctBy(n => n.Name, StringComparer.Ordinal).ToDictionary(n => n.Name, n => n.N, StringComparer.Ordinal);
    }

    private static (Workshop?, ValidationError?) Fault(string pointer, string value, string kind, string use) =>
        (null, new ValidationError(pointer, $"'{value}' is not {kind}.", $"Write {use}."));

    /// <summary>A choice by its name; a number is none, though the platform would take it for one.</summary>
    private static T? Named<T>(string value)
        where T : struct, Enum => value.All(char.IsAsciiLetter) && Enum.TryParse<T>(value, ignoreCase: true, out var named) ? named : null;

    private static double? Number(string value) => double.TryParse(Measures.Digits.Plain(value).Trim(), NumberStyles.Float,
        CultureInfo.InvariantCulture, out var n) && double.IsFinite(n) ? n : null;
}
