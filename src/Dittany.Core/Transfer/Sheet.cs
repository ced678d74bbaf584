using Dittany.Core.Materials;

namespace Dittany.Core.Transfer;

/// <summary>One page of a template: which part of the design it shows, in mm from the design's top left.</summary>
public sealed record Tile(int Row, int Column, double XMm, double YMm, double WidthMm, double HeightMm);

/// <summary>Tiles a design over pages at 1:1.</summary>
public static class Sheet
{
    /// <summary>No printer reaches the edge: this much is left free all round (from memory).</summary>
    public const double MarginMm = 12;

    /// <summary>Room at the foot of each page for title, words and check line.</summary>
    public const double FootMm = 34;

    /// <summary>Neighbouring pages share this much, to be laid over each other.</summary>
    public const double OverlapMm = 10;

    /// <summary>
    /// The tiles by rows, left to right. The design's box is given with its own margins included; it is centred on what the tiles show.
    /// </summary>
    public static IReadOnlyList<Tile> Tiles(double widthMm, double heightMm, Paper paper)
    {
        var (w, h) = (paper.WidthMm - (2 * MarginMm), paper.HeightMm - (2 * MarginMm) - FootMm);
        var (columns, rows) = (Count(widthMm, w), Count(heightMm, h));
        var left = (widthMm - Span(columns, w)) / 2;
        var top = (heightMm - Span(rows, h)) / 2;
        var tiles = new List<Tile>();
        for (var r = 0; r < rows; r++)
        {
            for (var c = 0; c < columns; c++)
            {
                tiles.Add(new Tile(r, c, left + (c * (w - OverlapMm)), top + (r * (h - OverlapMm)), w, h));
            }
        }

        return tiles;

        static int Count(double length, double page) => length <= page ? 1 : 1 + (int)Math.Ceiling((length - page) / (page - OverlapMm));
        static double Span(int count, double page) => page + ((count - 1) * (page - OverlapMm));
    }
}
