namespace Dittany.Core.Measures;

/// <summary>
/// What people say for one thing beside its own name, in small letters; a hyphen counts as a blank, plurals are found by themselves.
/// </summary>
public sealed record AlsoCalled(string Id, params IReadOnlyList<string> Words);
