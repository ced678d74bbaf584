using Dittany.Core.Geometry;

namespace Dittany.Core.Items;

/// <summary>The optical centre: a little above the middle, where the eye puts it.</summary>
public static class OpticalPlace
{
    /// <summary>The optical centre lies this share of the height above the middle (from memory).</summary>
    public const double Rise = 0.05;

    public const string ChoiceId = "optical-centre";

    public const string Text = "Centred, a little above the middle";

    public const string Because = "The eye takes the middle for too low, so what is put there stands 5 % of the height above it.";

    /// <summary>The optical centre of the box round a ring.</summary>
    public static UsualPlace In(IReadOnlyList<Pt> ring)
    {
        var (x0, x1) = (ring.Min(p => p.X), ring.Max(p => p.X));
        var (y0, y1) = (ring.Min(p => p.Y), ring.Max(p => p.Y));
        return new UsualPlace(ChoiceId, Text, new Pt((x0 + x1) / 2, ((y0 + y1) / 2) - ((y1 - y0) * Rise)), Stands.OnMiddle, [Because],
            "from memory");
    }
}
