namespace Dittany.Core.Materials;

/// <summary>What a hoop of a nominal size gives and needs. Sizes are nominal millimetres: 102 is a four-inch hoop.</summary>
public static class Hoops
{
    /// <summary>The opening is about this much less than the nominal size: measure hers (from memory).</summary>
    public const double OpeningLessMm = 5;

    /// <summary>Room to leave inside the ring (common practice).</summary>
    public const double RimMm = 10;

    /// <summary>The outer ring stands this far beyond the nominal radius, screw not counted (from memory).</summary>
    public const double RingBeyondMm = 6;

    /// <summary>A ring goes into a tube if its nominal size is at least this much less than the tube laid flat (from memory).</summary>
    public const double IntoTubeMm = 30;

    /// <summary>Six inches at most when the hoop is held in the hand (common practice).</summary>
    public const double MostInHandMm = 152;

    /// <summary>Hoops of a usual workshop: 4, 5, 6 and 7 in.</summary>
    public static IReadOnlyList<double> UsualMm { get; } = [102, 127, 152, 178];

    /// <summary>Square snap frame of a usual workshop, 8 in along the side.</summary>
    public const double UsualFrameMm = 203;

    public static double UsableRadiusMm(double hoopMm) => ((hoopMm - OpeningLessMm) / 2) - RimMm;

    /// <summary>Half the side of the usable square of a snap frame.</summary>
    public static double UsableHalfSideMm(double frameMm) => (frameMm / 2) - RimMm - OpeningLessMm;

    public static double RingRadiusMm(double hoopMm) => (hoopMm / 2) + RingBeyondMm;

    /// <summary>Hoops that are usual to own, nominal inches (common practice).</summary>
    public static IReadOnlyList<int> SoldInches { get; } = [3, 4, 5, 6, 7, 8, 9, 10, 12];

    /// <summary>Nominal size of a hoop named in inches, to the whole millimetre.</summary>
    public static double NominalMm(int inches) => Math.Round(inches * Measures.Tape.InchMm, MidpointRounding.AwayFromZero);

    public static int Inches(double hoopMm) => (int)Math.Round(hoopMm / 25.4, MidpointRounding.AwayFromZero);
}
