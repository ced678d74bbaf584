using System.Globalization;
using System.Net;
using AngleSharp.Html.Parser;

namespace Dittany.Force.Attacks;

/// <summary>
/// Many tabs on one piece at once: each confirmed move counts, each refused one changes nothing, a stale tab takes nothing back, and a form
/// sent twice makes one piece.
/// </summary>
public sealed class TabsAttack : IAttack
{
    public string Name => "tabs";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        var page = await client.GetStringAsync(new Uri("/new", UriKind.Relative));
        var (token, once) = (Sending.TokenOf(page), new HtmlParser().ParseDocument(page).QuerySelector("input[name=Once]")?.GetAttribute(
            "value") ?? string.Empty);
        (string, string)[] fields = [("__RequestVerificationToken", token), ("Once", once),
            ("Words", $"Tab {seed.ToString(CultureInfo.InvariantCulture)}"), ("Form", "tea-towel")];
        var made = await Task.WhenAll(Enumerable.Range(0, 3).Select(_ => tally.Send(client, Sending.Post("/new", fields), Name, seed)));
        var benches = made.Where(m => m?.Status == HttpStatusCode.Redirect).Select(m =>
            m!.Value.Location!.ToString()).Distinct(StringComparer.Ordinal).ToArray();
        if (benches.Length != 1)
        {
            if (benches.Length > 1)
            {
                tally.Wrong($"tabs, seed {seed.ToString(CultureInfo.InvariantCulture)}: one form sent three times made {benches.Length} "
                    + $"pieces");
            }

            return;
        }

        var bench = benches[0];
        (string, string)[] With(params (string, string)[] more) => [("__RequestVerificationToken", token), .. more];
        await tally.Send(client, Sending.Post($"{bench}?handler=Put", With(("from", "1"), ("x", "200"), ("y", "500"), ("within", "0"))),
            Name, seed);
        var from = await HeadAndX(client, bench);
        var nudges = await Task.WhenAll(Enumerable.Range(0, random.Next(5, 21)).Select(_ =>
            tally.Send(client, Sending.Post($"{bench}?handler=Nudge", With(("dx", "1"), ("dy", "0"))), Name, seed)));
        var confirmed = nudges.Count(n => n?.Status == HttpStatusCode.Redirect);
        var unknown = nudges.Count(n => n is null);
        var to = await HeadAndX(client, bench);
        if (from is { } a && to is { } b && (b.X - a.X < confirmed || b.X - a.X > confirmed + unknown))
        {
            tally.Wrong(string.Create(CultureInfo.InvariantCulture,
                $"tabs, seed {seed}: {confirmed} moves were confirmed and {b.X - a.X} counted"));
        }

        var stale = await tally.Send(client, Sending.Post($"{bench}?handler=Undo", With(("from", "1"))), Name, seed);
        if (stale is not null && stale.Value.Status is not (HttpStatusCode.Conflict or HttpStatusCode.ServiceUnavailable))
        {
            tally.Wrong($"tabs, seed {seed.ToString(CultureInfo.InvariantCulture)}: a stale undo was answered {stale.Value.Status}");
        }

        await tally.Send(client, Sending.Post($"{bench}?handler=Away", With()), Name, seed);
    }

    private static async Task<(int Head, double X)?> HeadAndX(HttpClient client, string bench)
    {
        using var answer = await client.GetAsync(new Uri(bench, UriKind.Relative));
        var page = new HtmlParser().ParseDocument(await answer.Content.ReadAsStringAsync());
        return page.QuerySelector("#bench")?.GetAttribute("data-from") is { } head
            && page.QuerySelector(".words")?.GetAttribute("data-x") is { } x
            ? (int.Parse(head, CultureInfo.InvariantCulture), double.Parse(x, CultureInfo.InvariantCulture))
            : null;
    }
}
