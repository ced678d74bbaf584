namespace Dittany.Web.Setup;

/// <summary>The local day, from the one clock.</summary>
public sealed class Today(TimeProvider time)
{
    public DateOnly Date => DateOnly.FromDateTime(time.GetLocalNow().DateTime);
}
