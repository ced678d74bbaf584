namespace Dittany.Core.Measures;

/// <summary>
/// A plan asks for more reckoning than one plan may take. What was asked for, not how busy the machine is, decides that: the same job
/// always ends alike.
/// </summary>
public sealed class OverBudgetException() : Exception("This asks for more reckoning than one plan may take.");

/// <summary>
/// A plan that turned out to be dear was not let go on: too many others are. Nothing of it is made, and it may be asked for again.
/// </summary>
public sealed class NotLetOnException() : OperationCanceledException("Too many plans that take long are being made at once.");

/// <summary>
/// How much one plan may reckon, counted in steps: about one look at one piece of a line. Rooms spend it where their work grows with what
/// is drawn, the geometry spends it by the points it is given, and all ask there too whether the plan is still wanted. Only what does not
/// hang on what happens to be kept from earlier plans is counted. Of one plan with everything that is tried out for it; its elements may
/// spend from several threads at once.
/// </summary>
public sealed class Budget
{
    /// <summary>
    /// Steps of one plan: under two seconds of one core, whichever room spends them (docs/measured.md has the dearest of ten thousand odd
    /// jobs). A name of ten letters takes a hundredth.
    /// </summary>
    public const long OfAPlan = 38_000_000;

    /// <summary>Steps of reading a job, its drawings looked over: what takes more is turned away before anybody waits for it.</summary>
    public const long OfReading = OfAPlan / 4;

    /// <summary>A plan of more steps is a dear one: two tenths of a second and more, where most take a tenth of that.</summary>
    public const long DearSteps = 6_000_000;

    /// <summary>Steps of which the plan is asked for anew whether it is still wanted: some thousandths of a second.</summary>
    private const long Breath = 20_000;

    /// <summary>What is tried out takes this share of what is left at the most: no remedy is worth the plan.</summary>
    private const double TryShare = 0.25;

    /// <summary>What of the trouble with things tried out is kept: the first tell what the others do.</summary>
    private const int MostTroubles = 20;

    private static readonly AsyncLocal<Budget?> Ambient = new();
    private static readonly Budget Outside = new(long.MaxValue / 2);

    private readonly Budget? _whole;
    private readonly CancellationToken _stop;
    private readonly List<string> _troubles = [];
    private readonly System.Collections.Concurrent.ConcurrentDictionary<object, bool> _once = new();
    private readonly long _most;
    private readonly Func<bool>? _dear;
    private readonly Lock _dearGate = new();
    private bool? _letOn;
    private long _unasked;
    private long _left;

    /// <summary>
    /// A budget of so many steps; <paramref name="stop"/> ends the plan soon after it is called. <paramref name="dear"/> is called once, as
    /// soon as more than <see cref="DearSteps"/> are spent, and nothing more is reckoned until it returns: a plan that turns out to take
    /// long can wait there for the others of its kind; where it returns false the plan ends with <see cref="NotLetOnException"/>.
    /// </summary>
    public Budget(long most, Func<bool>? dear, CancellationToken stop = default)
    {
        (_most, _left, _stop, _dear) = (most, most, stop, dear);
    }

    /// <summary>A budget of so many steps that may take as long as it takes.</summary>
    public Budget(long most, CancellationToken stop = default)
        : this(most, null, stop)
    {
    }

    private Budget(long most, Budget whole)
    {
        (_most, _left, _whole, _stop) = (most, most, whole, whole._stop);
    }

    /// <summary>Steps left.</summary>
    public long Left => Interlocked.Read(ref _left);

    /// <summary>A budget for what is asked outside a plan: never used up, never stopped.</summary>
    public static Budget Unbounded => new(long.MaxValue / 2);

    /// <summary>
    /// The budget of the plan that is being made here; outside a plan one that is never used up. Geometry is asked from everywhere: it
    /// finds its budget so, and no call can forget to hand it on.
    /// </summary>
    public static Budget Current => Ambient.Value ?? Outside;

    /// <summary>What was tried out and failed for a reason that is nobody's wish: a fault of ours, for the log.</summary>
    public IReadOnlyList<string> Troubles
    {
        get
        {
            lock (_troubles)
            {
                return _troubles.ToArray();
            }
        }
    }

    /// <summary>Whether what is being made is no longer wanted.</summary>
    public bool Stopped => _stop.IsCancellationRequested;

    /// <summary>Makes something with this budget as the current one.</summary>
    public T Within<T>(Func<T> what)
    {
        var before = Ambient.Value;
        Ambient.Value = this;
        try
        {
            return what();
        }
        finally
        {
            Ambient.Value = before;
        }
    }

    /// <summary>
    /// Makes what is kept for other plans too: nothing of it is counted, for whether it is there already is chance. It must be bounded by
    /// itself.
    /// </summary>
    public static T Uncounted<T>(Func<T> what) => new Budget(long.MaxValue / 2, Current._stop).Within(what);

    /// <summary>
    /// Whether something works, tried out inside the current budget. What asks for too much, or fails in whatever way, does not work; the
    /// failure is kept for the log. Throws <see cref="OperationCanceledException"/> where the plan is no longer wanted.
    /// </summary>
    public static bool Works(Func<bool> what) => Tried(what, false);

    /// <summary>The same for what comes to something; <paramref name="otherwise"/> where it does not.</summary>
    public static T Tried<T>(Func<T> what, T otherwise)
    {
        var whole = Current;
        var share = new Budget((long)(TryShare * Math.Max(0, whole.Left)), whole);
        try
        {
            return share.Within(what);
        }
        catch (OverBudgetException)
        {
            return otherwise;
        }
        catch (Exception e) when (e is not (OperationCanceledException or OutOfMemoryException))
        {
            whole.Note(e);
            return otherwise;
        }
    }

    /// <summary>
    /// Takes steps off, of what is tried out here too. Throws <see cref="OverBudgetException"/> where none are left, and
    /// <see cref="OperationCanceledException"/> where the plan is no longer wanted.
    /// </summary>
    public void Spend(long steps)
    {
        // What is tried out within this budget spends from its own share, which spends from this.
        var from = Ambient.Value is { } inner && inner.PartOf(this) ? inner : this;
        for (var budget = from; budget is not null; budget = budget._whole)
        {
            budget.Take(steps);
        }
    }

    /// <summary>The same, once for each thing in a plan: what comes again is found out once.</summary>
    public void SpendOnce(object thing, long steps)
    {
        var whole = this;
        while (whole._whole is not null)
        {
            whole = whole._whole;
        }

        if (!ReferenceEquals(whole, Outside) && whole._once.TryAdd(thing, true))
        {
            Spend(steps);
        }
    }

    private bool PartOf(Budget whole)
    {
        for (var budget = this; budget is not null; budget = budget._whole)
        {
            if (ReferenceEquals(budget, whole))
            {
                return true;
            }
        }

        return false;
    }

    private void Take(long steps)
    {
        var left = Interlocked.Add(ref _left, -steps);
        if (Interlocked.Add(ref _unasked, steps) < Breath && left >= 0)
        {
            return;
        }

        Interlocked.Exchange(ref _unasked, 0);
        _stop.ThrowIfCancellationRequested();
        if (left < 0)
        {
            throw new OverBudgetException();
        }

        if (_dear is not null && _most - left > DearSteps)
        {
            TurnDear();
        }
    }

    /// <summary>Elements may spend from several threads at once: all of them wait here until one has been through.</summary>
    private void TurnDear()
    {
        lock (_dearGate)
        {
            _letOn ??= _dear?.Invoke() != false;
            if (_letOn == false)
            {
                throw new NotLetOnException();
            }
        }
    }

    private void Note(Exception e)
    {
        for (var budget = this; budget is not null; budget = budget._whole)
        {
            lock (budget._troubles)
            {
                if (budget._troubles.Count < MostTroubles)
                {
                    budget._troubles.Add($"{e.GetType().Name}: {e.Message} {e.StackTrace}");
                }
            }
        }
    }
}
