using System.Globalization;
using Dittany.Core.Measures;
using Dittany.Core.Words;

namespace Dittany.Core.Jobs;

/// <summary>Finds what makes no sense in how a job is spread over places.</summary>
internal static class PlacesCheck
{
    /// <summary>A piece has no more places than this: more than any garment has zones.</summary>
    public const int MostPlaces = 24;

    /// <summary>Zones that there are not, choices for places that there are not, and what stands without being there.</summary>
    public static void Check(Job job, Library library, List<ValidationError> faults)
    {
        var form = job.FormUsed.Sure();
        var zones = job.Elements.Select(e => e.Zone).ToArray();
        for (var i = 0; i < zones.Length; i++)
        {
            if (zones[i] is { } zone && form.Zones.All(z => z.Id != zone))
            {
                faults.Add(new($"#/elements/{i.ToString(CultureInfo.InvariantCulture)}/zone",
                    $"{Say.Upper(Say.A(form.Name))} has no zone '{zone}'.", $"Use {ValueChecks.Either(form.Zones.Select(z => z.Id))}, or leave it out."));
            }
        }

        CheckStanding(job, faults);
        if (faults.Count > 0)
        {
            return;
        }

        var places = Places.Of(job);
        if (places.Count > MostPlaces)
        {
            faults.Add(new("#/elements", $"There are {places.Count} places, and {MostPlaces} is the most on one piece.",
                "Put fewer on one piece."));
        }

        foreach (var id in job.Overrides.Select(o => o.Key).Where(id =>
            id.Place is { } key && (places.All(p => p.Key != key) || Places.Shared(id))))
        {
            faults.Add(new(ValueChecks.Pointer(id),
                Places.Shared(id) ? $"'{id.Anywhere()}' belongs to the whole piece, not to one place."
                    : $"Nothing of this piece lies at '{id.Place}'.",
                Places.Shared(id) ? "Write it without a place." : $"Use {ValueChecks.Either(places.Select(p => p.Key))}, or write it without a place for {places.First(p => p.Main).Key}."));
        }

        foreach (var place in places)
        {
            JobCheck.CheckOverrides(job, place.Main ? place.Job : place.Job with
            {
                Overrides = place.Job.Overrides.Only(k => !Places.Shared(k)),
            }, place.Main ? null : place.Key, library, faults);
        }
    }

    /// <summary>A pointer into a place's job as one into the whole job.</summary>
    public static string InWhole(Job whole, Job place, string pointer)
    {
        if (pointer.Split('/') is not ["#", "elements", var number, .. var rest]
            || !int.TryParse(number, NumberStyles.None, CultureInfo.InvariantCulture, out var n))
        {
            return pointer;
        }

        var at = whole.Elements.Select(e => e.Id).ToList().IndexOf(place.Elements[n].Id);
        return $"#/elements/{at.ToString(CultureInfo.InvariantCulture)}/{string.Join('/', rest)}";
    }

    private static void CheckStanding(Job job, List<ValidationError> faults)
    {
        var ids = job.Elements.Select(e => e.Id).ToHashSet(StringComparer.Ordinal);
        var seen = new HashSet<string>(StringComparer.Ordinal);
        for (var i = 0; i < job.Standing.Count; i++)
        {
            foreach (var id in job.Standing[i])
            {
                if (!ids.Contains(id) || !seen.Add(id))
                {
                    faults.Add(new($"#/standing/{i.ToString(CultureInfo.InvariantCulture)}",
                        ids.Contains(id) ? $"'{id}' stands there twice over." : $"There is no element '{id}' that could stand there.",
                        "Name elements of this job, each once."));
                }
            }
        }

        if (faults.Count == 0 && seen.Count == ids.Count && seen.Count > 0)
        {
            faults.Add(new("#/standing", "All of it stands there already, and nothing is left to plan.", "Leave out what is still to be made, or add something."));
        }
    }
}
