namespace Dittany.Force;

/// <summary>One way of being hard on the program. Everything it does comes from its seed, so that a wrong can be brought back.</summary>
public interface IAttack
{
    string Name { get; }

    /// <summary>Asks once, or a few times; wrongs go to the tally.</summary>
    Task Once(int seed, HttpClient client, Tally tally);
}

/// <summary>Sending to the program.</summary>
public static class Sending
{
    /// <summary>A client that follows nothing, with its own cookies.</summary>
    public static HttpClient ClientOf(Uri url) => new(new HttpClientHandler { AllowAutoRedirect = false })
    {
        BaseAddress = url,
        Timeout = TimeSpan.FromSeconds(60)
    };

    public static HttpRequestMessage Get(string address) => new(HttpMethod.Get, new Uri(address, UriKind.Relative));

    public static HttpRequestMessage Post(string address, IEnumerable<(string Name, string Value)> fields) =>
        new(HttpMethod.Post, new Uri(address, UriKind.Relative))
        {
            Content = new FormUrlEncodedContent(
            fields.Select(f => KeyValuePair.Create(f.Name, f.Value)))
        };

    public static HttpRequestMessage Json(string address, byte[] json) =>
        new(HttpMethod.Post, new Uri(address, UriKind.Relative))
        {
            Content = new ByteArrayContent(
            json)
            { Headers = { ContentType = new("application/json") } }
        };

    public static HttpRequestMessage File(string address, string token, string field, string name, byte[] bytes)
    {
        var content = new MultipartFormDataContent { { new StringContent(token), "__RequestVerificationToken" },
            { new ByteArrayContent(bytes), field, name } };
        return new(HttpMethod.Post, new Uri(address, UriKind.Relative)) { Content = content };
    }

    /// <summary>The token of the first form on a page; empty where there is none.</summary>
    public static string TokenOf(string page)
    {
        const string Before = "name=\"__RequestVerificationToken\" type=\"hidden\" value=\"";
        var at = page.IndexOf(Before, StringComparison.Ordinal);
        return at < 0 ? string.Empty : page[(at + Before.Length)..page.IndexOf('"', at + Before.Length)];
    }

    /// <summary>The token of a page that is asked for now.</summary>
    public static async Task<string> Token(HttpClient client, string page) =>
        TokenOf(await client.GetStringAsync(new Uri(page, UriKind.Relative)));
}
