using Dittany.Core.Planning;

namespace Dittany.Web.Setup;

/// <summary>
/// One plan in the making, for all who ask for the same. It goes on as long as anybody wants it; made for a list it waits behind all
/// others until somebody asks for it himself. Safe to be shared between threads.
/// </summary>
internal sealed class Making : IDisposable
{
    private readonly Lock _gate = new();
    private readonly CancellationTokenSource _stop;
    private readonly TaskCompletionSource _hurried = new(TaskCreationOptions.RunContinuationsAsynchronously);
    private int _wanted;
    private bool _over;

    public Making(CancellationToken closing)
    {
        _stop = CancellationTokenSource.CreateLinkedTokenSource(closing);
        Stop = _stop.Token;
    }

    /// <summary>Called when nobody wants it any more.</summary>
    public CancellationToken Stop { get; }

    /// <summary>Ends as soon as somebody waits for it himself.</summary>
    public Task Hurried => _hurried.Task;

    private readonly TaskCompletionSource<Plan> _plan = new(TaskCreationOptions.RunContinuationsAsynchronously);

    /// <summary>The plan, as soon as it is there.</summary>
    public Task<Plan> Plan => _plan.Task;

    /// <summary>Makes it, once: what comes of it is what all get who want it.</summary>
    public async Task Run(Func<Making, Task<Plan>> make)
    {
        try
        {
            _plan.SetResult(await make(this));
        }
        catch (OperationCanceledException e)
        {
            _plan.SetCanceled(e.CancellationToken);
        }
        catch (Exception e)
        {
            _plan.SetException(e);
        }
    }

    /// <summary>One more wants it; false where it was given up already and must be begun anew.</summary>
    public bool Join(bool himself)
    {
        lock (_gate)
        {
            if (_over)
            {
                return false;
            }

            _wanted++;
        }

        if (himself)
        {
            _hurried.TrySetResult();
        }

        return true;
    }

    /// <summary>One wants it no longer; the last ends it.</summary>
    public void Leave()
    {
        lock (_gate)
        {
            if (--_wanted > 0 || _over)
            {
                return;
            }

            _over = true;
            _stop.Cancel();
        }
    }

    /// <summary>It is over, made or failed: whoever comes now begins anew.</summary>
    public void Dispose()
    {
        lock (_gate)
        {
            _over = true;
        }

        _stop.Dispose();
    }
}
