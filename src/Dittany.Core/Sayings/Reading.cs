namespace Dittany.Core.Sayings;

/// <summary>A saying as it is read: its tokens, and what begins at each.</summary>
internal sealed class Reading
{
    private readonly IReadOnlyList<Hit>[] _hits;

    public Reading(string said, IReadOnlyList<Token> tokens, DateOnly today)
    {
        (Said, Tokens, Today) = (said, tokens, today);
        _hits = tokens.Select((_, i) => Lexicon.Shared.At(tokens, i)).ToArray();

        // Where all is shouted or all is small, capitals tell nothing.
        var words = tokens.Where(t => t.Kind == TokenKind.Word && t.Text.Any(char.IsLetter)).ToArray();
        Shouted = words.Length > 2 && words.All(t => t.AllCapitals) && _hits.Any(h => h.Any(x =>
            x.Entry.Meaning is Meaning.Form or Meaning.Motif));
    }

    public string Said { get; }

    public IReadOnlyList<Token> Tokens { get; }

    public DateOnly Today { get; }

    public bool Shouted { get; }

    /// <summary>Tokens she has said to leave out: they stand in nothing's way.</summary>
    public HashSet<int> Dropped { get; } = [];

    private HashSet<string>? _roles;

    /// <summary>What the motifs that are named in it have for parts, by role and by what people call them.</summary>
    public IReadOnlySet<string> Roles => _roles ??= [.. _hits.SelectMany(h => h).Where(h => h.Entry.Meaning == Meaning.Motif && !h.Guessed
        && !Capital(h.From)).SelectMany(h => Lexicon.Shared.PartsOf(h.Entry.Id))];

    public int Count => Tokens.Count;

    public string Key(int at) => at >= 0 && at < Count ? Tokens[at].Key : string.Empty;

    public bool Is(int at, params ReadOnlySpan<string> keys) => keys.Contains(Key(at));

    public IReadOnlyList<Hit> Hits(int at) => at < Count ? _hits[at] : [];

    public IEnumerable<Hit> Hits(int at, params Meaning[] meanings) => Hits(at).Where(h => meanings.Contains(h.Entry.Meaning));

    /// <summary>Whether a word is written with a capital that means something: a name, not the first word of the saying.</summary>
    public bool Named(int at) => !Shouted && at < Count && Tokens[at].Capital && (at > 0 || Tokens[at].AllCapitals);

    /// <summary>Whether it begins with a capital at all.</summary>
    public bool Capital(int at) => !Shouted && at < Count && Tokens[at].Capital;

    /// <summary>Whether it may be an ordinary word of speech: not quoted, and not a name.</summary>
    public bool Plain(int at) => at < Count && Tokens[at].Kind == TokenKind.Word && !Named(at);

    public string Text(int from, int to) => to <= from ? string.Empty : Said[Tokens[from].From..Tokens[to - 1].To];

    public bool Comma(int at) => at < Count && Tokens[at].Kind == TokenKind.Mark && Tokens[at].Text is "," or ";" or "–" or "—";

    /// <summary>Whether a sentence or one of its parts ends before a token.</summary>
    public bool Ends(int at) => at >= Count || Tokens[at].Kind == TokenKind.Mark && Tokens[at].Text is "," or ";" or "." or "!" or "?" or ":" or "\n" or "(" or ")" or "–" or "—";

    public Bit Small(int from, int to) => new(Meaning.Small, from, to, string.Empty, string.Empty);
}
