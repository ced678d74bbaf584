namespace Dittany.Core.Sayings;

/// <summary>How many letters two words are apart.</summary>
internal static class Slips
{
    /// <summary>Letters to be put in, left out, changed or swapped with their neighbour (Damerau 1964, by optimal alignment).</summary>
    public static int Between(string one, string other)
    {
        var cost = new int[one.Length + 1, other.Length + 1];
        for (var i = 0; i <= one.Length; i++)
        {
            for (var j = 0; j <= other.Length; j++)
            {
                cost[i, j] = i == 0 ? j : j == 0 ? i : Math.Min(Math.Min(cost[i - 1, j] + 1, cost[i, j - 1] + 1), cost[i - 1, j - 1]
                    + (one[i - 1] == other[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && one[i - 1] == other[j - 2] && one[i - 2] == other[j - 1])
                {
                    cost[i, j] = Math.Min(cost[i, j], cost[i - 2, j - 2] + 1);
                }
            }
        }

        return cost[one.Length, other.Length];
    }
}
