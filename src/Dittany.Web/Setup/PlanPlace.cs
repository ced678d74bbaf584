using Dittany.Store;

namespace Dittany.Web.Setup;

/// <summary>
/// The place at which one plan is made. What turns out to be dear gives its place to others, waits for its turn among the dear ones and
/// goes on after it: a nudge never waits behind a tablecloth. What nobody stands and waits for is <paramref name="patient"/>: it waits
/// whoever else does. Of one plan; given back once.
/// </summary>
internal sealed class PlanPlace(ConcurrencyLimiter places, ConcurrencyLimiter dear, IDisposable place, IDisposable? turn, bool patient)
    : IDisposable
{
    private IDisposable? _place = place;
    private IDisposable? _turn = turn;

    /// <summary>
    /// Waits, without a place, until no other dear plan is being made; false where as many wait as may. Throws
    /// <see cref="OperationCanceledException"/> where the plan is no longer wanted.
    /// </summary>
    public bool GiveWay(CancellationToken stop)
    {
        if (_turn is not null)
        {
            return true;
        }

        _place?.Dispose();
        _place = null;
        try
        {
            // The plan is half made on this thread, so it is this thread that waits.
            _turn = (patient ? dear.TakeBeside(stop) : dear.Take(stop)).GetAwaiter().GetResult();
        }
        catch (BusyException)
        {
            return false;
        }

        _place = places.TakeBeside(stop).GetAwaiter().GetResult();
        return true;
    }

    public void Dispose()
    {
        _place?.Dispose();
        _turn?.Dispose();
        (_place, _turn) = (null, null);
    }
}
