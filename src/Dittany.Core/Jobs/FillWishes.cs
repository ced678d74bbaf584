using System.Globalization;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Jobs;

/// <summary>
/// A stitch wished for a whole element that fills areas and draws no lines: a wish for how its areas are filled. Its lines stay as the
/// plan has them, and where it has no areas the plan says so beside the choice.
/// </summary>
public static class FillWishes
{
    private const string Decision = "stitch.fill";

    /// <summary>The job with such wishes among its choices; a fault where another fill was chosen for the same element.</summary>
    public static (Job Job, IReadOnlyList<ValidationError> Faults) Heard(Job job)
    {
        var ids = job.Elements.Select(e => e.Id).ToArray();
        if (ids.Distinct(StringComparer.Ordinal).Count() < ids.Length)
        {
            return (job, []);
        }

        var (choices, faults) = (job.Overrides, new List<ValidationError>());
        for (var i = 0; i < job.Elements.Count; i++)
        {
            if (job.Elements[i].Stitch is not { } fill || !Fills(fill))
            {
                continue;
            }

            var key = Places.KeyOf(job, Decision, job.Elements[i].Id);
            if (choices[key] is { } chosen && chosen != fill)
            {
                faults.Add(new ValidationError(string.Create(CultureInfo.InvariantCulture, $"#/elements/{i}/stitch"),
                    $"How its areas are filled is said twice over: '{fill}' here, '{chosen}' among the choices.", "Leave out one of them."));
            }

            choices = choices.With(key, fill);
        }

        return (job.With(e => Fills(e.Stitch) ? e with { Stitch = null } : e) with
        {
            Overrides = choices,
        }, faults);
    }

    private static bool Fills(string? stitch) => stitch is not null && Book.Fill(stitch) is not null
        && Book.Lines.All(l => l.Id != stitch);
}
