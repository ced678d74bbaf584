using System.Globalization;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;

namespace Dittany.Core.Jobs;

/// <summary>
/// One change of one member of a job: its name, the new value written out (null leaves the member to the plan again), and what was done in
/// words.
/// </summary>
/// <remarks>
/// <paramref name="Edit"/> is for what no single value says, such as another motif: the job is then changed by it, and
/// <paramref name="Member"/> names what it changes.
/// </remarks>
public sealed record Change(string Member, string? Value, string What, Func<Job, Job>? Edit = null);

/// <summary>Reads and changes members of a job by name. Members of an element are those of the first.</summary>
public static class Changes
{
    private const string OverrulePrefix = "overrules/";

    /// <summary>
    /// Members that settle the same thing as an overrule: setting one lets go of the other, for both at once are refused.
    /// </summary>
    private static readonly (string Member, string Decision)[] SameThing = DecisionRegistry.All.SelectMany(r =>
        r.Stated.Select(s => (s.Member, r.Id))).ToArray();

    /// <summary>
    /// Facts of the cloth and of its use: how each is written, and how it is set. A value that is not its kind gives null.
    /// </summary>
    private static readonly Dictionary<string, (Func<Job, string?> Read, Func<Job, string?, Job?> Set)> Facts = new(StringComparer.Ordinal)
    {
        ["fabric.stretchPercent"] = Cloth(f => Written(f.StretchPercent), (f, v) => Double(v, n => f with { StretchPercent = n })),
        ["fabric.thicknessMm"] = Cloth(f => Written(f.ThicknessMm), (f, v) => Double(v, n => f with { ThicknessMm = n })),
        ["fabric.washC"] = Cloth(f => Written(f.WashC), (f, v) =>
            Double(v, n => f with { WashC = n is null ? null : (int)Math.Clamp(n.Value, -1, 999) })),
        ["fabric.opacity"] = Cloth(f => f.Opacity?.ToString(), (f, v) => Enumerated<Opacity>(v, n => f with { Opacity = n })),
        ["fabric.pile"] = Cloth(f => f.Pile?.ToString(), (f, v) => Enumerated<Pile>(v, n => f with { Pile = n })),
        ["fabric.maxIron"] = Cloth(f => f.MaxIron?.ToString(), (f, v) => Enumerated<IronLimit>(v, n => f with { MaxIron = n })),
        ["fabric.washable"] = Cloth(f => Written(f.Washable), (f, v) => Flag(v, n => f with { Washable = n })),
        ["fabric.busy"] = Cloth(f => Written(f.Busy), (f, v) => Flag(v, n => f with { Busy = n })),
        ["fabric.lined"] = Cloth(f => Written(f.Lined), (f, v) => Flag(v, n => f with { Lined = n })),
        ["fabric.prewashed"] = Cloth(f => Written(f.Prewashed), (f, v) => Flag(v, n => f with { Prewashed = n })),
        ["fabric.coated"] = Cloth(f => Written(f.Coated), (f, v) => Flag(v, n => f with { Coated = n })),
        ["fabric.fibre"] = Cloth(f => f.Fibre, (f, v) => f with { Fibre = v }),
        ["nextToSkin"] = (j => Written(j.Use?.NextToSkin), (j, v) =>
            Flag(v, n => (j.Use ?? new StatedUse()) with { NextToSkin = n }) is { } use ? j with { Use = use } : null),
        ["washed"] = (j => j.Use?.Washed, (j, v) => j with { Use = (j.Use ?? new StatedUse()) with { Washed = v } }),
        ["lasts"] = (j => j.Use?.Lasts, (j, v) => j with { Use = (j.Use ?? new StatedUse()) with { Lasts = v } }),
    };

    private const string MeasuredPrefix = "measuredMm/";

    /// <summary>Members that can be changed, overrules apart.</summary>
    public static IReadOnlyList<string> Members { get; } =
        ["title", "dueOn", "motifs", "places", "size", "wearer", "zone", "fabric.kind", "fabric.colour", "done", .. ElementChanges.Members,
            .. Facts.Keys];

    /// <summary>A member of one element as a change names it: plain where the element is the first of its job.</summary>
    public static string MemberOf(Job job, string element, string member) => ElementFocus.Member(job, element, member);

    /// <summary>The value of a member as a change would write it; null where the job leaves it to the plan.</summary>
    public static string? Read(Job job, string member)
    {
        if (AtPlace(member) is var (key, inner))
        {
            return Places.Find(job, key) is { } place ? Read(place.Job, inner) : null;
        }

        if (ElementChanges.Of(member) is { } ofElement)
        {
            return ofElement.Read(job);
        }

        if (ElementFocus.Read(member) is var (id, of))
        {
            return ElementFocus.On(job, id) is { } alone ? Read(alone, of) : null;
        }

        return member switch
        {
            "title" => job.Title,
            "motifs" => string.Join(' ', job.Motifs.Select(m => m.Id)),
            "dueOn" => job.DueOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
            "wearer" => job.Wearer,
            "size" => job.Size,
            "zone" => job.Zone,
            "places" => string.Join(' ', Places.Of(job).Select(p => p.Key)),
            "fabric.kind" => job.Fabric?.Kind,
            "fabric.colour" => job.Fabric?.Colour,
            "done" => job.Done is { } done ? WriteDone(done) : null,
            _ when Facts.TryGetValue(member, out var fact) => fact.Read(job),
            _ when member.StartsWith(MeasuredPrefix, StringComparison.Ordinal) => job.MeasuredMm is { } m
                && m.TryGetValue(member[MeasuredPrefix.Length..], out var mm) ? Written(mm) : null,
            _ when member.StartsWith(OverrulePrefix, StringComparison.Ordinal) =>
                job.Overrides[member[OverrulePrefix.Length..]],
            _ => null,
        };
    }

    /// <summary>
    /// The job with the change made. A value that cannot be read as its member's kind is a fault that names the member; whether it makes
    /// sense is left to
    /// <see cref="JobCheck"/>.
    /// </summary>
    public static (Job? Job, ValidationError? Fault) Apply(Job job, Change change)
    {
        var (changed, fault) = Applied(job, change);
        return (changed is null ? null : FirstElement.Kept(job, changed), fault);
    }

    private static (Job? Job, ValidationError? Fault) Applied(Job job, Change change)
    {
        if (change.Edit is { } edit)
        {
            // What it states itself lets go of an overrule of the same thing, as a stated member does.
            var edited = edit(job);
            return (SameThing.Where(s => Read(edited, s.Member) is { } now && now != Read(job, s.Member)).Aggregate(edited, (j, s) =>
                Without(j, s.Decision)), null);
        }

        if (AtPlace(change.Member) is var (key, inner))
        {
            if (Places.Find(job, key) is not { } place)
            {
                return (null, new ValidationError("#/elements", $"There is nothing at '{key}' any more.", "Look at the piece as it is now."));
            }

            var (there, wrong) = Apply(place.Job, change with { Member = inner });
            if (there is null)
            {
                return (null, wrong);
            }

            var whole = Places.Put(job, place, there);
            return Places.Of(whole).Count < Places.Of(job).Count && whole.Elements.Count == job.Elements.Count
                ? (null, new ValidationError("#/zone", "Something of this piece lies there already.", "Take another part of it, or put this with what lies there."))
                : (whole, null);
        }

        if (ElementFocus.Read(change.Member) is var (id, of))
        {
            if (ElementFocus.On(job, id) is not { } alone)
            {
                return (null, new ValidationError("#/elements", $"There is no element '{id}' any more.", "Look at the piece as it is now."));
            }

            var (one, wrong) = Apply(alone, change with { Member = of });
            return one is null ? (null, wrong) : (ElementFocus.Back(job, id, one), null);
        }

        var changed = Set(job, change.Member, change.Value, out var fault);
        if (fault is not null || changed is null)
        {
            return (null, fault ?? new ValidationError($"#/{change.Member}", $"There is no member '{change.Member}' to change.",
                "Use one of the members of a job."));
        }

        foreach (var (member, decision) in SameThing)
        {
            if (change.Value is not null && change.Member == member)
            {
                changed = Without(changed, decision);
            }
            else if (change.Value is not null && change.Member == OverrulePrefix + decision)
            {
                changed = Set(changed, member, null, out _).Sure();
            }
        }

        return (changed, null);
    }

    /// <summary>A member of one place, <c>@sleeve/text</c>, as the key of the place and the member there; null for any other.</summary>
    private static (string Key, string Member)? AtPlace(string member) => member.StartsWith(Places.Mark)
        && member.IndexOf('/', StringComparison.Ordinal) is > 0 and var at ? (member[1..at], member[(at + 1)..]) : null;

    private static Job? Set(Job job, string member, string? value, out ValidationError? fault)
    {
        fault = null;
        if (ElementChanges.Of(member) is { } ofElement)
        {
            return ofElement.Set(job, value, out fault);
        }

        switch (member)
        {
            case "title":
                return job with { Title = value };
            case "motifs":
                return WithMotifs(job, value, out fault);
            case "dueOn":
                if (value is null)
                {
                    return job with { DueOn = null };
                }

                if (DateOnly.TryParseExact(value, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day))
                {
                    return job with { DueOn = day };
                }

                fault = new ValidationError("#/dueOn", $"'{value}' is not a day.", "Write it like 2027-03-14.");
                return null;
            case "wearer":
                return job with { Wearer = value };
            case "size":
                return job with { Size = value };
            case "zone":
                return job with { Zone = value };
            case "places":
                var left = Places.Keep(job, (value ?? string.Empty).Split(' '));
                fault = left is null ? new ValidationError("#/elements", "Nothing would be left to make.", "Keep one place, or put the piece away.") : null;
                return left;
            case "fabric.kind":
                return job with { Fabric = (job.Fabric ?? new FabricOverrides()) with { Kind = value } };
            case "fabric.colour":
                return job with { Fabric = (job.Fabric ?? new FabricOverrides()) with { Colour = value } };
            case "done":
                if (value is null)
                {
                    return job with { Done = null };
                }

                if (ReadDone(value) is { } done)
                {
                    // The day of its first wash stays known whatever is done afterwards.
                    return job with { Done = done with { WashedOn = done.WashedOn ?? job.Done?.WashedOn } };
                }

                fault = new ValidationError("#/done", $"'{value}' does not say how far it is.",
                    "Write marked, runs=3, rinsed=2027-03-01 or finished.");
                return null;
            case var _ when Facts.TryGetValue(member, out var fact):
                var stated = fact.Set(job, value);
                fault = stated is null ? new ValidationError($"#/item/{member.Replace('.', '/')}", $"'{value}' is not what this fact can be.",
                    "Take one of those offered.") : null;
                return stated;
            case var _ when member.StartsWith(MeasuredPrefix, StringComparison.Ordinal):
                return WithMeasured(job, member[MeasuredPrefix.Length..], value, out fault);
            default:
                if (!member.StartsWith(OverrulePrefix, StringComparison.Ordinal))
                {
                    return null;
                }

                var id = member[OverrulePrefix.Length..];
                return value is null ? Without(job, id) : job with
                {
                    Overrides = job.Overrides.With(id, value),
                };
        }
    }

    /// <summary>Which motifs the piece keeps, by their ids: others are taken away. A piece keeps at least words or one motif.</summary>
    private static Job? WithMotifs(Job job, string? ids, out ValidationError? fault)
    {
        var kept = (ids ?? string.Empty).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        var left = job.With(e => e is not MotifElement || kept.Contains(e.Id, StringComparer.Ordinal) ? e : null);
        fault = left.Elements.Count == 0 ? new ValidationError("#/elements", "Nothing would be left to stitch.",
            "Keep one motif, or write words first.") : null;
        return fault is null ? left : null;
    }

    private static Job? WithMeasured(Job job, string id, string? value, out ValidationError? fault)
    {
        fault = value is null || NumberOf(value) is not null ? null
            : new ValidationError($"#/item/measuredMm/{id}", $"'{value}' is not a length.", "Write millimetres, such as 212.");
        if (fault is not null)
        {
            return null;
        }

        var measured = new Dictionary<string, double>(job.MeasuredMm ?? new Dictionary<string, double>(StringComparer.Ordinal),
            StringComparer.Ordinal);
        measured.Remove(id);
        if (NumberOf(value) is { } mm)
        {
            measured[id] = mm;
        }

        return job with { MeasuredMm = measured.Count == 0 ? null : measured };
    }

    private static (Func<Job, string?> Read, Func<Job, string?, Job?> Set) Cloth(Func<FabricOverrides, string?> read, Func<FabricOverrides,
        string?, FabricOverrides?> set) =>
        (j => read(j.Fabric ?? new FabricOverrides()), (j, v) => set(j.Fabric ?? new FabricOverrides(), v) is { } fabric ? j
            with
        { Fabric = fabric } : null);

    private static string? Written(double? n) => n?.ToString("R", CultureInfo.InvariantCulture);

    private static string? Written(bool? yes) => yes is { } y ? (y ? "true" : "false") : null;

    private static T? Double<T>(string? value, Func<double?, T> set)
        where T : class => value is null ? set(null) : NumberOf(value) is { } n ? set(n) : null;

    private static T? Flag<T>(string? value, Func<bool?, T> set)
        where T : class => value switch { null => set(null), "true" => set(true), "false" => set(false), _ => null };

    private static FabricOverrides? Enumerated<T>(string? value, Func<T?, FabricOverrides> set)
        where T : struct, Enum => value is null ? set(null) : Enum.TryParse<T>(value, out var one) && Enum.IsDefined(one) ? set(one) : null;

    /// <summary>
    /// How far a piece is, in one word: <c>marked</c>, <c>washed=2027-03-01</c>, <c>runs=3</c>, <c>rinsed=2027-03-08</c>, <c>finished</c>.
    /// </summary>
    public static string WriteDone(Time.Done done) =>
        done.Finished ? "finished"
        : done.RinsedOn is { } day ? $"rinsed={day.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}"
        : done.Runs > 0 || done.Stitches > 0 ? string.Create(CultureInfo.InvariantCulture, $"runs={done.Runs}{(done.Stitches > 0 ? $"+{done.Stitches}" : null)}")
        : done is { Marked: false, WashedOn: { } washed } ? $"washed={washed.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture)}"
            : "marked";

    private static Time.Done? ReadDone(string value) => value.Split('=') switch
    {
        ["marked"] => new Time.Done(Marked: true),
        ["finished"] => new Time.Done(Marked: true, Runs: JobLimits.MostRuns, Finished: true),
        ["runs", var n] when int.TryParse(n, NumberStyles.None, CultureInfo.InvariantCulture, out var runs) =>
            new Time.Done(Marked: true, Runs: runs),
        ["runs", var n] when n.Split('+') is [var whole, var begun] && int.TryParse(whole, NumberStyles.None, CultureInfo.InvariantCulture, out var runs)
            && int.TryParse(begun, NumberStyles.None, CultureInfo.InvariantCulture, out var stitches) =>
            new Time.Done(Marked: true, Runs: runs, Stitches: stitches),
        ["washed", var d] when DateOnly.TryParseExact(d, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) =>
            new Time.Done(WashedOn: day),
        ["rinsed", var d] when DateOnly.TryParseExact(d, "yyyy-MM-dd", CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) =>
            new Time.Done(Marked: true, Runs: JobLimits.MostRuns, RinsedOn: day),
        _ => null,
    };

    private static Job Without(Job job, string decision) => job with { Overrides = job.Overrides.Without(decision) };

    internal static double? NumberOf(string? value) =>
        double.TryParse(Measures.Digits.Plain(value ?? string.Empty), NumberStyles.Float, CultureInfo.InvariantCulture, out var n)
            && double.IsFinite(n) ? n : null;
}
