using System.Globalization;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>
/// What the maker settled of the lettering herself, as written: null where the plan decides. A size may be a height or a wish.
/// </summary>
internal sealed record StatedLettering(string? Size, string? Strands, string? Stitch, string? Rows, string? Length, string? Dots,
    double? WidthMm = null)
{
    public double? CapMm => double.TryParse(Size, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) ? number : null;

    public SizeWish? Wish => CapMm is null && Size is not null ? WishOf(Size) : null;

    internal static SizeWish WishOf(string habit) => habit switch
    {
        "largest" => SizeWish.Largest,
        "smallest" => SizeWish.Smallest,
        _ => SizeWish.Comfortable,
    };
}
