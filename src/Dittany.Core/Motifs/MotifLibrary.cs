namespace Dittany.Core.Motifs;

/// <summary>The motifs that can be drawn: all of our own drawing.</summary>
public static class MotifLibrary
{
    public static IReadOnlyList<Motif> All { get; } = [.. Plants.All, .. Things.All, .. Rich.All, .. Frames.All];

    public static IReadOnlyList<string> Ids { get; } = All.Select(m => m.Id).ToArray();

    public static Motif? Find(string id) => All.FirstOrDefault(m => string.Equals(m.Id, id, StringComparison.Ordinal));
}
