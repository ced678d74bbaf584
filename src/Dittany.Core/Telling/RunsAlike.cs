using Dittany.Core.Measures;
using Dittany.Core.Planning;
using Dittany.Core.Route;

namespace Dittany.Core.Telling;

/// <summary>
/// Lengths of thread that do on one plant what an earlier one did on another of its kind: the same parts, stitch by stitch, in the same
/// thread. They are told once, and pointed back to.
/// </summary>
internal sealed class RunsAlike
{
    private readonly Dictionary<(string Element, int Part), (string Motif, string Place, string Plant)> _parts = [];
    private readonly Dictionary<string, int> _seen = new(StringComparer.Ordinal);

    public RunsAlike(Plan plan)
    {
        foreach (var element in plan.Elements.Where(e => e.IsMotif))
        {
            var seen = new Dictionary<(int Copy, string Role), int>();
            var thread = element.Parts.Select(p => p.Thread.Id).ToArray();
            for (var i = 0; i < element.Parts.Count; i++)
            {
                var part = element.Parts[i];
                var number = seen.GetValueOrDefault((part.Copy, part.Role)) + 1;
                seen[(part.Copy, part.Role)] = number;
                _parts[(element.Id, i)] = (element.Motif.Sure(),
                    $"{part.Role} {number} {part.Stitch} {thread[i]} {part.Stitches.Count}", $"{element.Id} {part.Copy}");
            }
        }
    }

    /// <summary>
    /// The number of an earlier length that this one repeats on another plant, or null; lengths are asked for in their order.
    /// </summary>
    public int? Like(IReadOnlyList<RouteRow> rows)
    {
        var plants = new List<string>();
        var signed = new System.Text.StringBuilder();
        (string, int)? at = null;
        foreach (var row in rows)
        {
            if (!_parts.TryGetValue((row.Element, row.Part), out var part))
            {
                return null;
            }

            if (at != (row.Element, row.Part))
            {
                at = (row.Element, row.Part);
                var plant = plants.IndexOf(part.Plant);
                if (plant < 0)
                {
                    plant = plants.Count;
                    plants.Add(part.Plant);
                }

                signed.Append(System.Globalization.CultureInfo.InvariantCulture, $"|{part.Motif} {plant} {part.Place} from {row.Stitch}");
            }
        }

        signed.Append(System.Globalization.CultureInfo.InvariantCulture, $"|{rows.Count} {rows[0].Fresh}");
        var key = signed.ToString();
        if (_seen.TryGetValue(key, out var earlier))
        {
            return earlier;
        }

        _seen[key] = rows[0].Run;
        return null;
    }
}
