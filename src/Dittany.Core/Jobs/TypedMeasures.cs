using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Jobs;

/// <summary>Her own numbers of an item as she typed them, read off her tape.</summary>
public static class TypedMeasures
{
    /// <summary>
    /// The numbers by the form's measures, null where none was typed, and what is no length. A bare number is what her tape counts in.
    /// Whether a number can be is left to
    /// <see cref="JobCheck"/>.
    /// </summary>
    public static (IReadOnlyDictionary<string, double>? MeasuredMm, IReadOnlyList<ValidationError> Faults) Read(Form form, string? width,
        string? height, Units units)
    {
        var measured = new Dictionary<string, double>(StringComparer.Ordinal);
        var faults = new List<ValidationError>();
        foreach (var (measure, typed) in new[] { (form.Width, width), (form.Height, height) }.Where(m =>
            !string.IsNullOrWhiteSpace(m.Item2)))
        {
            if (Tape.Read(typed, units) is { } mm)
            {
                measured[measure.Id] = mm;
            }
            else
            {
                faults.Add(new ValidationError($"#/item/measuredMm/{measure.Id}", $"{measure.Name}: “{typed}” is not a length.",
                    Tape.Wanted(units)));
            }
        }

        return (measured.Count > 0 ? measured : null, faults);
    }
}
