using Dittany.Core.Decisions;
using Dittany.Core.Items;
using Dittany.Core.Measures;

namespace Dittany.Core.Operations;

/// <summary>
/// What loose cloth wants besides its stitches: it is cut and the shape drawn on it before anything is measured.
/// </summary>
public static class LooseWork
{
    /// <summary>Cutting on the grain and drawing the shape; overcasting the edges of a metre and a half; minutes (from memory).</summary>
    public const double CutMinutes = 5;

    public const double EdgeMinutes = 10;

    /// <summary>The size the cloth is cut for: of a pattern's piece that of the face, else that of the form.</summary>
    public static FormSize CutFrom(Form form, FormSize size, Drawn drawn) => form.Loose != LooseCloth.Pattern ? size : size with
    {
        WidthMm = drawn.Outline.Max(p => p.X) - drawn.Outline.Min(p => p.X),
        HeightMm = drawn.Outline.Max(p => p.Y) - drawn.Outline.Min(p => p.Y),
    };

    /// <summary>Cuts the cloth and draws the shape on it; nothing for what is bought ready made.</summary>
    public static IReadOnlyList<Operation> Before(Form form, FormSize size)
    {
        if (form.Loose is not { } kind)
        {
            return [];
        }

        var (w, h) = ClothAllowance.Cut(kind, size.WidthMm, size.HeightMm);
        return [new Operation(
            "cut", OpKind.Cut, Station.Item, Place.Table,
            [new("cutting and drawing", CutMinutes + (kind is LooseCloth.Hooped or LooseCloth.Framed or LooseCloth.SewnIn
                or LooseCloth.Pattern ? EdgeMinutes : 0))],
            [
                $"Cut the cloth {Say.Length(w)} × {Say.Length(h)}, {(kind == LooseCloth.Felt ? "any way round" : "along the grain")}.",
                $"Draw the shape in its middle, {Say.Length(Math.Round(size.WidthMm, 1))} wide and "
                    + $"{Say.Length(Math.Round(size.HeightMm, 1))} high: everything is measured from that line.",
                ClothAllowance.RawEdge(kind),
                .. kind == LooseCloth.GatheredRound
                    ? [(Told)"Trace the round on the wrong side too, and tack along it, long in front and short behind, its end left loose: the "
                        + "line shows on the face, and comes out last."] : Array.Empty<Told>(),
            ])];
    }
}
