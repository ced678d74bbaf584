using Dittany.Core.Decisions;
using Dittany.Core.Measures;

namespace Dittany.Core.Jobs;

/// <summary>
/// One place of a job with what is put there, as a job of its own. <paramref name="Key"/> is its zone, or the zone and a number where it
/// <paramref name="Stands"/>: where it is stitched and finished since long. <paramref name="Main"/> is the place that unmarked choices
/// belong to.
/// </summary>
public sealed record JobPlace(string Key, string Zone, bool Stands, bool Main, Job Job);

/// <summary>
/// The places of a job: what its elements name as their zone, taken apart into jobs of one place and put together again. A choice that
/// belongs to one place alone is marked with it: <c>hoop.size@sleeve</c>; facts of the item and its finish belong to all.
/// </summary>
public static class Places
{
    /// <summary>Stands between a decision and its place, and before the place of a member that is changed: <c>@sleeve/text</c>.</summary>
    public const char Mark = '@';

    private const string ZoneDecision = "space.zone";

    /// <summary>The zone of elements that name none.</summary>
    public static string UsualZone(Job job)
    {
        var zones = job.FormUsed?.Zones ?? [];
        var hers = job.Zone ?? job.Overrides[ZoneDecision];
        return hers is not null && (zones.Count == 0 || zones.Any(z => z.Id == hers)) ? hers
            : zones.Count > 0 ? zones[0].Id : hers ?? string.Empty;
    }

    /// <summary>What a zone of the job's item is called; its id where it has no such zone.</summary>
    public static string NameOf(Job job, string zone) => job.FormUsed?.Zones.FirstOrDefault(z => z.Id == zone).Name ?? zone;

    /// <summary>A decision about one element as a job's choices name it: the first element of a place without its id.</summary>
    public static DecisionKey KeyOf(Job job, string decision, string id)
    {
        var place = Of(job).First(p => p.Job.Find(id) is not null);
        var first = place.Job.Elements[0].Id;
        return new DecisionKey(decision, first == id ? null : id, Place: place.Main ? null : place.Key);
    }

    /// <summary>
    /// All places: what stands already first, in the order it came, then the usual place, then others in the order of their elements. One
    /// where all elements share a zone.
    /// </summary>
    public static IReadOnlyList<JobPlace> Of(Job job)
    {
        var usual = UsualZone(job);
        var stands = job.Standing.SelectMany((ids, i) => ids.Select(id => (id, Batch: i))).DistinctBy(s => s.id, StringComparer.Ordinal)
            .ToDictionary(s => s.id, s => s.Batch, StringComparer.Ordinal);
        var all = job.Elements.Select(e => (e.Id, Zone: e.Zone ?? usual))
            .GroupBy(e => (e.Zone, Batch: stands.GetValueOrDefault(e.Id, int.MaxValue))).OrderBy(g => g.Key.Batch)
            .ThenBy(g => g.Key.Zone == usual ? 0 : 1).ToArray();
        if (all.Length == 0)
        {
            return [new JobPlace(usual, usual, false, true, job)];
        }

        var main = Array.Find(all, g => g.Key.Batch == int.MaxValue)?.Key ?? all[0].Key;
        return all.Select(g =>
        {
            var key = g.Key.Batch == int.MaxValue ? g.Key.Zone : $"{g.Key.Zone}.{g.Key.Batch + 1}";
            var mine = g.Select(e => e.Id).ToHashSet(StringComparer.Ordinal);
            var here = g.Key == main;
            return new JobPlace(key, g.Key.Zone, g.Key.Batch < int.MaxValue, here, job.With(e => mine.Contains(e.Id)
                ? e with { Zone = null } : null) with
            {
                Zone = g.Key.Zone == usual ? job.Zone : g.Key.Zone,
                Overrides = Choices(job, key, here, g.Key.Zone == usual),
                Standing = [],
            });
        }).ToArray();
    }

    /// <summary>The place of a key; null where the job has none.</summary>
    public static JobPlace? Find(Job job, string key) => Of(job).FirstOrDefault(p => p.Key == key);

    /// <summary>The key of the place an element lies at; null where there is no such element.</summary>
    public static string? KeyOf(Job job, string element) => Of(job).FirstOrDefault(p => p.Job.Find(element) is not null)?.Key;

    /// <summary>Members that belong to the piece as a whole, whatever place is looked at.</summary>
    private static readonly string[] OfTheWhole = ["title", "dueOn", "done", "places"];

    /// <summary>A member as a change names it, of a place of a piece with several; as it is where <paramref name="key"/> is null.</summary>
    public static string Member(string? key, string member) => string.IsNullOrEmpty(key) || member.StartsWith(Mark)
        || OfTheWhole.Contains(member, StringComparer.Ordinal) ? member : $"{Mark}{key}/{member}";

    /// <summary>The job with something more at a zone: words, or a motif where there are no words.</summary>
    public static Job Add(Job job, string zone, string? words, MotifElement? motif)
    {
        var ids = job.Elements.Select(e => e.Id).ToHashSet(StringComparer.Ordinal);
        string Free(string name) => Enumerable.Range(1, ids.Count + 1).Select(n =>
            $"{name}-{n.ToString(System.Globalization.CultureInfo.InvariantCulture)}").First(id => !ids.Contains(id));
        var at = zone == UsualZone(job) ? null : zone;
        return words is not null ? job with { Elements = [.. job.Elements, new TextElement(Free("words"), words) { Zone = at }] }
            : motif is not null ? job with { Elements = [.. job.Elements, motif with { Id = Free("motif"), Zone = at }] } : job;
    }

    /// <summary>
    /// The job with these places alone; of those taken away all goes, with the choices that belonged to them. A job keeps at least one that
    /// is to be made; null where none would be left.
    /// </summary>
    public static Job? Keep(Job job, IReadOnlyList<string> keys)
    {
        var all = Of(job);
        var kept = all.Where(p => keys.Contains(p.Key, StringComparer.Ordinal)).ToArray();
        if (!Array.Exists(kept, p => !p.Stands))
        {
            return null;
        }

        var next = job;
        foreach (var gone in all.Except(kept))
        {
            next = Put(next, gone, gone.Job with
            {
                Elements = [],
                Overrides = gone.Job.Overrides.Only(Shared),
            });
        }

        // Where the main place is gone, the next one takes its part: its choices stand unmarked then.
        var main = Array.Find(kept, p => !p.Stands).Sure();
        var was = all.First(p => p.Main);
        if (main.Key == was.Key)
        {
            return next;
        }

        return next.With(e => e with { Zone = (e.Zone ?? UsualZone(job)) == main.Zone ? null : e.Zone ?? UsualZone(job) }) with
        {
            Zone = main.Zone,
            Overrides = next.Overrides.Without(ZoneDecision).Keyed(k => k.Place == main.Key ? k.Anywhere() : k),
        };
    }

    /// <summary>
    /// The job with a place of it changed into <paramref name="changed"/>: its elements where they stood, its choices marked again, what
    /// it says of the item for all.
    /// </summary>
    public static Job Put(Job job, JobPlace place, Job changed)
    {
        var usual = place.Zone == UsualZone(job);
        // Another zone for a place other than the usual one is what its elements name, not a choice of the whole.
        var moved = usual ? null : changed.Overrides[ZoneDecision];
        var zone = usual ? null : moved ?? changed.Zone ?? place.Zone;
        var key = usual || zone == place.Zone || place.Stands ? place.Key : zone.Sure();
        bool Mine(string id) => place.Job.Find(id) is not null;
        var there = changed.Elements.ToDictionary(e => e.Id, e => e with { Zone = zone }, StringComparer.Ordinal);
        bool Others(DecisionKey id) => id.Place is { } at ? at != place.Key : !Shared(id) && (!place.Main || (id == ZoneDecision
            && !usual));
        return changed with
        {
            Elements = [.. job.With(e => Mine(e.Id) ? there.GetValueOrDefault(e.Id) : e).Elements, .. changed.Elements.Select(e =>
                there[e.Id]).Where(e => !Mine(e.Id))],
            Zone = usual ? changed.Zone : job.Zone,
            Overrides = OverrideSet.Of([.. job.Overrides.Only(Others), .. changed.Overrides.Only(k => usual || k != ZoneDecision).Keyed(k =>
                place.Main || Shared(k) ? k : k with { Place = key })]),
            Standing = job.Standing,
        };
    }

    /// <summary>
    /// The job with all there is so far standing, stitched and finished: what is added now is work of its own, and moves nothing of it.
    /// </summary>
    public static Job Stand(Job job)
    {
        var before = job.Standing.SelectMany(s => s).ToHashSet(StringComparer.Ordinal);
        var ids = job.Elements.Select(e => e.Id).Where(id => !before.Contains(id)).ToArray();
        if (ids.Length == 0)
        {
            return job;
        }

        var batch = job.Standing.Count + 1;
        var live = Of(job).Where(p => !p.Stands).ToArray();
        DecisionKey Standing(DecisionKey key) => key.Place is { } at
            ? Array.Exists(live, p => p.Key == at) ? key with { Place = $"{at}.{batch}" } : key
            : Shared(key) || key == ZoneDecision ? key : key with { Place = $"{Array.Find(live, p => p.Main).Sure().Key}.{batch}" };
        return job with
        {
            Standing = [.. job.Standing, ids],
            Overrides = job.Overrides.Keyed(k => Standing(k)),
            Done = null,
        };
    }

    /// <summary>Whether a choice belongs to the item as a whole and not to one place of it.</summary>
    public static bool Shared(DecisionKey decision) =>
        DecisionRegistry.Find(decision) is { At: Station.Item or Station.Finish or Station.Time };

    /// <summary>The choices that hold at a place, under their plain names.</summary>
    private static OverrideSet Choices(Job job, string key, bool main, bool usual) => job.Overrides.Keyed(k => k.Place is { } at
        ? at == key ? k.Anywhere() : default(DecisionKey?)
        : (k == ZoneDecision ? usual : main || Shared(k)) ? k : default(DecisionKey?));
}
