using System.Globalization;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.AspNetCore.Mvc;
using Microsoft.AspNetCore.Mvc.RazorPages;

namespace Dittany.Web.Pages.WorkshopPage;

/// <summary>What the maker has and how much time: equipment, hoops, evenings, rates, units, which hand.</summary>
public sealed class IndexModel(WorkshopStore workshops, PlanService desk) : PageModel
{
    public int From { get; private set; }

    public bool CanUndo => From > 0;

    /// <summary>Every member as it is shown: as typed where it was refused, else as it stands.</summary>
    public IReadOnlyDictionary<string, string> Shown { get; private set; } = new Dictionary<string, string>();

    public IReadOnlyList<ValidationError> Faults { get; private set; } = [];

    public IReadOnlyList<WorkshopConflict> Conflicts { get; private set; } = [];

    public Effects? Effects { get; private set; }

    public IReadOnlySet<string> OwnTools => Shown["equipment"].Split(' ').ToHashSet(StringComparer.Ordinal);

    public IReadOnlySet<double> OwnHoops => Shown["hoopsMm"].Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(h =>
        double.Parse(h, CultureInfo.InvariantCulture)).ToHashSet();

    public string? FaultAt(string pointer) => Faults.FirstOrDefault(f =>
        f.Pointer.StartsWith(pointer, StringComparison.Ordinal)) is { } fault ? $"{fault.Detail} {fault.Try}" : null;

    public async Task OnGet(CancellationToken cancel) => await Load(null, cancel);

    public async Task<IActionResult> OnPost(
        int from, string[] equipment, int[] hoops, string? otherHoops, string skill, string eveningsPerWeek, string minutesPerEvening,
            string hourlyRate, string paper, string units, string hand, CancellationToken cancel)
    {
        var before = await workshops.Current(cancel);
        var others = (otherHoops ?? string.Empty).Split([' ', ',', ';'], StringSplitOptions.RemoveEmptyEntries);
        (string Member, string Value)[] posted =
        [
            ("equipment", string.Join(' ', Equipment.Ids.Where(equipment.Contains))),
            ("skill", skill), ("eveningsPerWeek", eveningsPerWeek ?? string.Empty),
                ("minutesPerEvening", minutesPerEvening ?? string.Empty), ("hourlyRate", (hourlyRate ?? string.Empty).Replace(',', '.')),
                ("paper", paper),
            ("hoopsMm", string.Join(' ', hoops.Select(Hoops.NominalMm).Select(h =>
                h.ToString(CultureInfo.InvariantCulture)).Concat(others))),
            ("units", units), ($"{WorkshopChanges.HabitPrefix}hand", hand),
        ];
        var changed = await workshops.Change(from, posted.Select(p =>
            (p.Member, Same(before, p.Member, p.Value ?? string.Empty))).ToArray(), "Workshop", cancel);
        if (changed.Taken)
        {
            Effects = await desk.Effects(before, changed.Workshop, cancel);
            await Load(null, cancel);
            return Page();
        }

        (Faults, Conflicts) = (changed.Faults, changed.Conflicts);
        Response.StatusCode = changed.Conflicts.Count > 0 ? StatusCodes.Status409Conflict : StatusCodes.Status422UnprocessableEntity;
        await Load(posted.ToDictionary(p => p.Member, p => p.Value, StringComparer.Ordinal), cancel);
        return Page();
    }

    public async Task<IActionResult> OnPostUndo(CancellationToken cancel)
    {
        await workshops.Undo(cancel);
        return RedirectToPage();
    }

    /// <summary>The same tools or hoops in another order are no change.</summary>
    private static string Same(Workshop before, string member, string value)
    {
        var stands = WorkshopChanges.Read(before, member);
        return member is "equipment" or "hoopsMm" && stands.Split(' ').Order(StringComparer.Ordinal).SequenceEqual(
            value.Split(' ').Order(StringComparer.Ordinal), StringComparer.Ordinal) ? stands : value;
    }

    private async Task Load(Dictionary<string, string>? typed, CancellationToken cancel)
    {
        var workshop = await workshops.Current(cancel);
        From = await workshops.Head(cancel);
        Shown = WorkshopChanges.Members.Append($"{WorkshopChanges.HabitPrefix}hand").ToDictionary(m => m, m => typed?.GetValueOrDefault(m)
            ?? WorkshopChanges.Read(workshop, m), StringComparer.Ordinal);
        if (!Shown["hoopsMm"].Split(' ', StringSplitOptions.RemoveEmptyEntries).All(h =>
            double.TryParse(h, NumberStyles.Float, CultureInfo.InvariantCulture, out _)))
        {
            // Sizes that are no numbers stay in their own field as typed.
            Shown = new Dictionary<string, string>(Shown, StringComparer.Ordinal)
            {
                ["otherHoops"] = string.Join(' ',
                Shown["hoopsMm"].Split(' ').Where(h => !double.TryParse(h, NumberStyles.Float, CultureInfo.InvariantCulture, out _))),
                ["hoopsMm"] = string.Join(' ', Shown["hoopsMm"].Split(' ').Where(h =>
                double.TryParse(h, NumberStyles.Float, CultureInfo.InvariantCulture, out _)))
            };
        }
    }

    /// <summary>Sizes she owns that are not among the usual ones, as written.</summary>
    public string OtherHoops => Shown.TryGetValue("otherHoops", out var odd) ? odd
        : string.Join(' ', OwnHoops.Where(h => Hoops.SoldInches.All(i => Hoops.NominalMm(i) != h)).Select(h =>
        h.ToString(CultureInfo.InvariantCulture)));
}
