namespace Dittany.Store;

/// <summary>
/// The program has more to do than it can: what was asked waited in vain, nothing of it was done, and it is asked again in a moment.
/// </summary>
public sealed class BusyException() : Exception("Too much is being done at once: try again in a moment.");
