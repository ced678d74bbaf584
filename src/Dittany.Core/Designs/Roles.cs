namespace Dittany.Core.Designs;

/// <summary>
/// Roles of the parts of a drawing. A role may be told more closely, the general word last: a back-petal is a petal, and is treated as one
/// where nothing is said of it.
/// </summary>
public static class Roles
{
    /// <summary>What it is in general: its last word.</summary>
    public static string Kind(string role) => role[(role.LastIndexOf('-') + 1)..];

    /// <summary>What it is called in a sentence: an outline is the shape itself.</summary>
    public static string Called(string role) => role == "outline" ? "shape" : role.Replace('-', ' ');
}
