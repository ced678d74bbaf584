using System.Diagnostics.CodeAnalysis;
using System.Runtime.CompilerServices;

namespace Dittany.Core.Measures;

/// <summary>
/// For what must be there by the rules of the program, such as a stitch of the book by its own id: it is, or it is told here and at once
/// what is not. So no null ever gets into a plan, to be met where nobody knows where it came from. Not for what may be missing.
/// </summary>
public static class Sureness
{
    /// <summary>The thing itself; throws <see cref="InvalidOperationException"/> naming what was asked for where it is not there.</summary>
    public static T Sure<T>([NotNull] this T? thing, [CallerArgumentExpression(nameof(thing))] string? asked = null)
        where T : class => thing ?? throw Missing(asked);

    /// <summary>The value itself; throws <see cref="InvalidOperationException"/> naming what was asked for where there is none.</summary>
    public static T Sure<T>([NotNull] this T? value, [CallerArgumentExpression(nameof(value))] string? asked = null)
        where T : struct => value ?? throw Missing(asked);

    private static InvalidOperationException Missing(string? asked) => new($"{asked} is not there.");
}
