using System.Globalization;
using AngleSharp.Html.Dom;
using AngleSharp.Html.Parser;

namespace Dittany.Force.Attacks;

/// <summary>
/// Every page looked at with odd addresses, and every form on it sent with odd answers: some, all, or none of them, with its token or
/// without.
/// </summary>
public sealed class PagesAttack : IAttack
{
    private static readonly string[] Pages =
    [
        "/", "/new", "/habits", "/habits?try=hold", "/workshop", "/cupboard", "/cupboard/cloth", "/cupboard/measure",
            "/cupboard/photograph", "/letters", "/letters?Piece={0}", "/motifs", "/motifs?Piece={0}&Motif=daisy",
        "/motifs/trace", "/set", "/set?Names=Ida%0AZo%C3%AB&Form=napkin", "/bench/{0}", "/bench/{0}?Face=order&At=7",
            "/bench/{0}?View=at_1_2_3", "/sheets/{0}", "/sheets/{0}?kind=work", "/cupboard/form?id=backpack", "/Error",
        "/api/forms", "/api/pieces/{0}/plan", "/pieces/{0}.json", "/letters/upright-hand.svg?text=Zo", "/motifs/daisy.svg",
    ];

    public string Name => "pages";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        var address = string.Format(CultureInfo.InvariantCulture, Hostile.Pick(random, Pages), random.Next(10) == 0 ? random.Next(-5, 2000)
            : random.Next(1, 12));
        if (random.Next(3) == 0)
        {
            address += (address.Contains('?', StringComparison.Ordinal) ? "&" : "?")
                + $"{Hostile.Pick(random, "handler", "Face", "At", "View", "kind", "try", "Names", "text", "wobble", "count", "Piece", "Form", "Text")}={Uri.EscapeDataString(Clean(Hostile.Any(random)))}";
        }

        var looked = await tally.Send(client, Sending.Get(address), Name, seed);
        if (looked is not { Status: System.Net.HttpStatusCode.OK, Body: var body } || !body.Contains("<form", StringComparison.Ordinal))
        {
            return;
        }

        var page = new HtmlParser().ParseDocument(body);
        var forms = page.QuerySelectorAll("form").Where(f => f.GetAttribute("method") == "post").ToArray();
        if (forms.Length == 0)
        {
            return;
        }

        var form = Hostile.Pick(random, forms);
        var button = form.QuerySelectorAll("button").ToArray() is { Length: > 0 } buttons ? Hostile.Pick(random, buttons) : null;
        var to = button?.GetAttribute("formaction") ?? form.GetAttribute("action") ?? address;
        if (form.QuerySelector("input[type=file]") is not null || !to.StartsWith('/'))
        {
            to = to.StartsWith('/') ? to : address;
        }

        var fields = form.QuerySelectorAll("input[name], textarea[name], select[name]")
            .Select(e => (Name: e.GetAttribute("name")!, Value: (e as IHtmlInputElement)?.Value ?? e.TextContent))
            .Append((Name: button?.GetAttribute("name") ?? "extra", Value: button?.GetAttribute("value") ?? string.Empty));
        var answers = fields.Where(f => f.Name == "__RequestVerificationToken" ? random.Next(20) != 0 : random.Next(8) != 0)
            .Select(f => f.Name == "__RequestVerificationToken" || random.Next(3) == 0 ? f
                : (f.Name, Clean(Hostile.Any(random)))).ToArray();
        await tally.Send(client, Sending.Post(to, answers), "forms", seed);

        // Half a character cannot be sent in a form.
        static string Clean(string text) => string.Concat(text.Where(c => !char.IsSurrogate(c)));
    }
}
