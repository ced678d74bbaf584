namespace Dittany.Core.Stitches.InAreas;

/// <summary>How a fill goes through several colours.</summary>
public enum FillColours
{
    /// <summary>It is of one colour.</summary>
    One,

    /// <summary>In rows from the foot to the tip, that reach into each other.</summary>
    FootToTip,

    /// <summary>Each single stitch of one of them, mixed.</summary>
    Mixed,
}
