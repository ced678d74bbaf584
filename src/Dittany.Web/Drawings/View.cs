namespace Dittany.Web.Drawings;

/// <summary>What part of the item the drawing shows, in mm of its face, and how many mm a screen pixel is at the usual width.</summary>
public sealed record View(string Id, string Name, double X, double Y, double Width, double Height)
{
    /// <summary>The drawing is about this wide on a screen of 1280.</summary>
    private const double UsualPixels = 700;

    /// <summary>Millimetres a pixel covers: sizes of tape and labels follow it.</summary>
    public double Px => Math.Max(Width / UsualPixels, Height / 660);
}
