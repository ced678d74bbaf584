using Dittany.Core.Designs;
using Dittany.Core.Geometry;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Measures;
using Dittany.Core.Space;
using Dittany.Core.Words;

namespace Dittany.Core.Planning;

/// <summary>What a wording is planned on.</summary>
internal sealed record WordingGround(Form Form, Drawn Drawn, Zone Zone, Region Field, Cloth Cloth, Worn Worn, Library Library,
    Budget Budget)
{
    /// <summary>Whether there is an iron in the workshop.</summary>
    public required bool HasIron { get; init; }

    /// <summary>What lies over it and hides it; empty where nothing does.</summary>
    public Region Over { get; init; } = Region.Empty;

    /// <summary>Minutes of the evenings up to the day it is due; null where no day is named.</summary>
    public double? MinutesLeft { get; init; }

    /// <summary>How far what is hidden reaches under what lies over it, mm.</summary>
    public double TuckMm { get; init; } = Design.TuckMm;

    /// <summary>Its areas are tinted before anything is stitched: a fine line goes round them.</summary>
    public bool Tinted { get; init; }

    /// <summary>Its areas are made in another craft than thread, and no stitches fill them.</summary>
    public bool Unfilled { get; init; }

    /// <summary>What the place hangs on, where something goes round what is planned or it goes round something; else null.</summary>
    public Within? Within { get; init; }
}
