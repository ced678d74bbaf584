namespace Dittany.Core.Words;

/// <summary>Looks for a height at which a fault is gone.</summary>
public static class LeastHeight
{
    /// <summary>
    /// A whole height in mm above this one at which something is cured, or null where none is up to four times as high: first in ever wider
    /// steps, then by halving back. A few tries do, where every millimetre would be a hundred; it is the least wherever what is cured stays
    /// cured higher up.
    /// </summary>
    public static double? Cured(double capMm, Func<double, bool> curedAt)
    {
        bool Cures(double mm) => Measures.Budget.Works(() => curedAt(mm));
        var most = Math.Floor(Math.Min(Fit.MostCapMm, (capMm * 4) + 10));
        var (bad, step) = (Math.Floor(capMm), 1.0);
        while (bad < most)
        {
            var tried = Math.Min(most, bad + step);
            if (!Cures(tried))
            {
                (bad, step) = (tried, step * 2);
                continue;
            }

            var good = tried;
            while (good - bad > 1)
            {
                var middle = Math.Floor((good + bad) / 2);
                if (Cures(middle))
                {
                    good = middle;
                }
                else
                {
                    bad = middle;
                }
            }

            return good;
        }

        return null;
    }
}
