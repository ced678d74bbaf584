using System.Globalization;
using FsCheck.Xunit;

namespace Dittany.Core.Tests;

/// <summary>
/// A property over random cases. An ordinary run takes the same cases each time, so that a commit is judged alike twice; with
/// DITTANY_ROUNDS set to a number it takes new ones, that many times as many.
/// </summary>
[AttributeUsage(AttributeTargets.Method)]
public sealed class ManyTimesAttribute : PropertyAttribute
{
    /// <summary>Any odd second number will do; these say nothing.</summary>
    private const string SameCases = "20270303,7919";

    public ManyTimesAttribute(int cases)
    {
        Cases = cases;
        if (int.TryParse(Environment.GetEnvironmentVariable("DITTANY_ROUNDS"), CultureInfo.InvariantCulture, out var rounds) && rounds > 0)
        {
            MaxTest = cases * rounds;
        }
        else
        {
            (MaxTest, Replay) = (cases, SameCases);
        }
    }

    public int Cases { get; }
}
