namespace Dittany.Core.Measures;

/// <summary>
/// A plan asks for more reckoning than one plan may take. What was asked for, not how busy the machine is, decides that: the same job
/// always ends alike.
/// </summary>
public sealed class OverBudgetException() : Exception("This asks for more reckoning than one plan may take.");

/// <summary>
/// How much one plan may reckon, counted in steps: about one look at one piece of a line. Rooms spend it where their work grows with what
/// is drawn, and ask there too whether the plan is still wanted. Only what does not hang on what happens to be kept from earlier plans is
/// counted. Of one plan; its elements may spend from several threads at once.
/// </summary>
public sealed class Budget(long most, CancellationToken stop = default)
{
    /// <summary>
    /// Steps of one plan: one to two seconds. Measured: 280 daisies in 40 000 stitches take as many, and so do seven hundred bends of a
    /// scribble in 30 000; a long saying in a script a third, a name of ten letters a hundredth.
    /// </summary>
    public const long OfAPlan = 45_000_000;

    /// <summary>Steps of which the plan is asked for anew whether it is still wanted: some thousandths of a second.</summary>
    private const long Breath = 20_000;

    private long _unasked;
    private long _left = most;

    /// <summary>Steps left.</summary>
    public long Left => Interlocked.Read(ref _left);

    /// <summary>A budget for what is asked outside a plan: never used up, never stopped.</summary>
    public static Budget Unbounded => new(long.MaxValue);

    /// <summary>
    /// Takes steps off. Throws <see cref="OverBudgetException"/> where none are left, and <see cref="OperationCanceledException"/> where
    /// the plan is no longer wanted.
    /// </summary>
    public void Spend(long steps)
    {
        var left = Interlocked.Add(ref _left, -steps);
        if (Interlocked.Add(ref _unasked, steps) < Breath && left >= 0)
        {
            return;
        }

        Interlocked.Exchange(ref _unasked, 0);
        stop.ThrowIfCancellationRequested();
        if (left < 0)
        {
            throw new OverBudgetException();
        }
    }
}
