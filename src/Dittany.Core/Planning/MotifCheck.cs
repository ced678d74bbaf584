using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;

namespace Dittany.Core.Planning;

/// <summary>What a motif may have.</summary>
public static class MotifLimits
{
    /// <summary>Parts a drawing of her own may have: what a page can show and a plan can order.</summary>
    public const int MostParts = 2000;
}

/// <summary>Finds what makes no sense in a motif that is asked for.</summary>
internal static class MotifCheck
{
    public static void Check(MotifAsked motif, string at, List<JobFault> faults)
    {
        if (motif.Id.Length is 0 or > 60)
        {
            faults.Add(new($"{at}/id", "An id is 1 to 60 characters long.", "Use a short name such as \"sprig\"."));
        }

        if (motif.Drawing is { } own)
        {
            JobCheck.CheckText($"{at}/drawing/name", own.Name, 80, faults);
            if (own.Figure.Parts.Count is 0 or > MotifLimits.MostParts)
            {
                faults.Add(new($"{at}/drawing/parts", own.Figure.Parts.Count == 0 ? "The drawing has no parts." : $"The drawing has {own.Figure.Parts.Count} parts, and {MotifLimits.MostParts} is the most.", "Give between 1 and 2000 lines, shapes and dots."));
            }
            else if (Math.Max(own.Figure.Width, own.Figure.Height) < 1e-6)
            {
                faults.Add(new($"{at}/drawing/parts", "The drawing has no size: all of it lies in one point.", "Draw something that is wider or higher than a point."));
            }
        }
        else
        {
            CheckChoice($"{at}/motif", motif.Motif, MotifLibrary.Ids, "motif", faults);
        }

        CheckChoice($"{at}/arrangement", motif.Arrangement, Arranging.Ids, "arrangement of motifs", faults);
        CheckChoice($"{at}/stitch", motif.Stitch, Book.Lines.Select(s => s.Id), "stitch that draws lines", faults);
        JobCheck.CheckRange($"{at}/widthMm", motif.WidthMm, 2, 1000, "mm", faults);
        JobCheck.CheckRange($"{at}/heightMm", motif.HeightMm, 2, 1000, "mm", faults);
        JobCheck.CheckRange($"{at}/count", motif.Count, 1, Arranging.MostCopies, "copies", faults);
        JobCheck.CheckRange($"{at}/parts", motif.Parts, 1, 80, "petals or leaves", faults);
        JobCheck.CheckRange($"{at}/strands", motif.Strands, 1, Bundle.Most, "strands", faults);
        JobCheck.CheckRange($"{at}/turnDegrees", motif.TurnDegrees, -360, 360, "degrees", faults);
        JobCheck.CheckRange($"{at}/leanDegrees", motif.LeanDegrees, -45, 45, "degrees", faults);
        JobCheck.CheckRange($"{at}/wobblePercent", motif.WobblePercent, 0, 100 * Motif.MostWobble, "%", faults);
        JobCheck.CheckRange($"{at}/seed", motif.Seed, 0, 1_000_000, "", faults);
        JobCheck.CheckColour($"{at}/colour", motif.Colour, true, faults);
        JobCheck.CheckCentre(motif.CentreMm, at, faults);
    }

    public static void CheckChoice(string at, string? value, IEnumerable<string> known, string what, List<JobFault> faults)
    {
        if (value is not null && !known.Contains(value, StringComparer.Ordinal))
        {
            faults.Add(new(at, $"There is no {what} '{value}'.", $"Use {JobCheck.Either(known)}, or leave it out."));
        }
    }
}
