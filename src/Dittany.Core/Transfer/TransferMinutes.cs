using Dittany.Core.Effort;

namespace Dittany.Core.Transfer;

/// <summary>Hands-on minutes of a transfer (from memory), by what is done.</summary>
public static class TransferMinutes
{
    /// <summary>Tracing 10 cm of line on light and on dark cloth; printing and cutting a sheet; tacking 10 cm of film edge; smoothing a sheet; ironing a transfer.</summary>
    public const double TracePer100Mm = 1;

    public const double TraceDarkPer100Mm = 1.5;

    public const double PrintAndCut = 5;

    public const double TackPer100Mm = 1.2;

    public const double Smooth = 3;

    public const double IronOn = 4;

    public const double Draw = 6;

    public const double Fuse = 5;

    /// <summary>Minutes for a design this wide and high with this much line in it.</summary>
    public static IReadOnlyList<StepMinutes> Of(Transferred transfer, double widthMm, double heightMm, double lineMm, bool dark)
    {
        var round = 2 * (widthMm + heightMm + (4 * TransferRoom.CutMarginMm));
        var onCloth = MarkerRules.OnCloth(transfer.Method);
        var trace = lineMm / 100 * (dark && onCloth ? TraceDarkPer100Mm : TracePer100Mm);
        var tack = round / 100 * TackPer100Mm;
        var steps = new List<StepMinutes>();
        if (transfer.Stabiliser.Contains("fusible-knit-behind", StringComparison.Ordinal))
        {
            steps.Add(new("fusing the backing", Fuse));
        }

        if (transfer.Stabiliser.Contains("cut-away-behind", StringComparison.Ordinal) || transfer.Stabiliser.Contains("tear-away-behind", StringComparison.Ordinal))
        {
            steps.Add(new("tacking the backing", tack));
        }

        if (transfer.Sheets > 0)
        {
            steps.Add(new("printing and cutting", PrintAndCut * transfer.Sheets));
        }

        steps.Add(transfer.Method.Id switch
        {
            "film-traced" => transfer.Tacked ? new StepMinutes("tracing and tacking", trace + tack) : new("tracing and laying the film", trace + 1),
            "tissue" or "tacked-from-back" => new("tracing and tacking along the lines", trace + (lineMm / 100 * TackPer100Mm)),
            "stick-on-sheet" => new("sticking the sheet down", Smooth),
            "hot-iron" => new("drawing and ironing on", trace + IronOn),
            "coated-paper" => new("ironing on and tracing", trace + IronOn),
            "freehand" => new("drawing", Draw),
            _ => new("tracing", trace),
        });
        return steps;
    }
}
