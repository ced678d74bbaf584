using System.Globalization;

namespace Dittany.Web.Setup;

/// <summary>
/// The local day, from the one clock. Not always the clock's: <c>DITTANY_DAY</c> (2027-03-03) holds it on one day, so that pictures and
/// tests come out the same on every day of the week. What is no day is not taken for one.
/// </summary>
public sealed class Today(TimeProvider time)
{
    private readonly DateOnly? _held = DateOnly.TryParseExact(Environment.GetEnvironmentVariable("DITTANY_DAY"), "yyyy-MM-dd",
        CultureInfo.InvariantCulture, DateTimeStyles.None, out var day) ? day : null;

    public DateOnly Date => _held ?? DateOnly.FromDateTime(time.GetLocalNow().DateTime);
}
