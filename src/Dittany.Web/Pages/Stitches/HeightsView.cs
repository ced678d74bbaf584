using Dittany.Core.Measures;
using Dittany.Core.StitchBook;
using Dittany.Core.Stitches;

namespace Dittany.Web.Pages.Stitches;

/// <summary>A stitch at the heights all stitches are shown at, with what is told of each.</summary>
public sealed record HeightsView(IStitch Stitch, IReadOnlyList<Sample> Samples, Units Units)
{
    public string High(Sample sample) => Tape.Length(sample.HeightMm, Units);

    public string? Told(Sample sample) => sample.Why?.In(Units);

    public string Picture(Sample sample) =>
        string.Create(System.Globalization.CultureInfo.InvariantCulture, $"/stitches/{Stitch.Id}/at/{sample.HeightMm:0}.svg");
}
