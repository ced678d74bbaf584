using System.Net;
using System.Text.RegularExpressions;
using Dittany.Web.Tests.Setup;

namespace Dittany.Web.Tests.Pages;

/// <summary>Styles and scripts come compressed as they were built, and are asked for once.</summary>
public sealed partial class StaticFilesTests(Site site) : IClassFixture<Site>
{
    private readonly HttpClient _door = site.Start();

    /// <summary>
    /// Every file a page names is there, is compressed where that saves something, and may be kept for good, since its name changes with
    /// it (RFC 9111 for keeping, RFC 8246 for never asking again).
    /// </summary>
    [Theory]
    [InlineData("/")]
    [InlineData("/new")]
    [InlineData("/cupboard")]
    public async Task What_a_page_names_comes_compressed_and_is_kept_for_good(string page)
    {
        var named = Named().Matches(await _door.GetStringAsync(new Uri(page, UriKind.Relative))).Select(m => m.Groups["at"].Value).ToList();
        Assert.Contains(named, n => n.Contains("dittany", StringComparison.Ordinal) && n.EndsWith(".css", StringComparison.Ordinal));
        Assert.Contains(named, n => n.Contains("htmx", StringComparison.Ordinal));
        foreach (var at in named)
        {
            using var asked = new HttpRequestMessage(HttpMethod.Get, at);
            asked.Headers.AcceptEncoding.ParseAdd("gzip");
            using var answer = await _door.SendAsync(asked);
            Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
            Assert.True(answer.Headers.CacheControl!.ToString().Contains("immutable", StringComparison.Ordinal), at);
            Assert.Equal("gzip", Assert.Single(answer.Content.Headers.ContentEncoding));
            Assert.NotNull(answer.Content.Headers.ContentLength);
        }
    }

    /// <summary>Under its plain name a file is asked for again, and not sent again while it is the same.</summary>
    [Theory]
    [InlineData("/css/dittany.css")]
    [InlineData("/cloth.svg")]
    [InlineData("/lib/fonts/reading-latin.woff2")]
    public async Task An_unchanged_file_is_not_sent_again(string path)
    {
        using var first = await _door.GetAsync(new Uri(path, UriKind.Relative));
        Assert.Equal(HttpStatusCode.OK, first.StatusCode);
        using var again = new HttpRequestMessage(HttpMethod.Get, path);
        again.Headers.IfNoneMatch.Add(first.Headers.ETag!);
        using var second = await _door.SendAsync(again);
        Assert.Equal(HttpStatusCode.NotModified, second.StatusCode);
    }

    [GeneratedRegex(@"(?:src|href)=\x22(?<at>/(?:css|js|lib)/[^\x22]+)\x22", RegexOptions.ExplicitCapture, 10_000)]
    private static partial Regex Named();
}
