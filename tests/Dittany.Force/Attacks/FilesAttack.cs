using System.Globalization;
using System.Text;
using Dittany.Formats.Alphabets;
using SkiaSharp;

namespace Dittany.Force.Attacks;

/// <summary>Files that are brought: drawings, fonts and pictures, sound and spoilt, some put onto pieces afterwards.</summary>
public sealed class FilesAttack : IAttack
{
    private static readonly Lazy<byte[][]> Fonts = new(() =>
    {
        var at = typeof(FontFile).Assembly;
        return at.GetManifestResourceNames().Where(n => n.EndsWith(".ttf", StringComparison.Ordinal)
            || n.StartsWith("Alphabets/", StringComparison.Ordinal)).Select(name =>
        {
            using var stream = at.GetManifestResourceStream(name)!;
            using var copy = new MemoryStream();
            stream.CopyTo(copy);
            return copy.ToArray();
        }).ToArray();
    });

    public string Name => "files";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        switch (random.Next(4))
        {
            case 0:
                await Font(random, seed, client, tally);
                break;
            case 1:
                await Picture(random, seed, client, tally);
                break;
            default:
                await Drawing(random, seed, client, tally);
                break;
        }
    }

    private static async Task Font(Random random, int seed, HttpClient client, Tally tally)
    {
        var bytes = Hostile.Pick(random, Fonts.Value);
        var token = await Sending.Token(client, "/letters");
        await tally.Send(client, Sending.File("/letters?handler=Bring", token, "font", "f.ttf", random.Next(8) == 0
            ? [.. bytes, (byte)random.Next(256)] : Hostile.Mutated(random, bytes, 200)), "fonts", seed);
    }

    private static async Task Picture(Random random, int seed, HttpClient client, Tally tally)
    {
        var token = await Sending.Token(client, "/cupboard/photograph");
        var bytes = Drawn(random);
        await tally.Send(client, Sending.File("/cupboard/photograph", token, "picture", "p.jpg", random.Next(2) == 0 ? bytes
            : Hostile.Mutated(random, bytes, 60)), "pictures", seed);
    }

    /// <summary>A picture of any size: now and then as large as may be.</summary>
    private static byte[] Drawn(Random random)
    {
        var (w, h) = random.Next(12) == 0 ? (7700, 7700) : (random.Next(1, 1500), random.Next(1, 1500));
        using var bitmap = new SKBitmap(w, h);
        bitmap.Erase(new SKColor((uint)random.Next()));
        using var image = SKImage.FromBitmap(bitmap);
        using var data = image.Encode(random.Next(2) == 0 ? SKEncodedImageFormat.Jpeg : SKEncodedImageFormat.Png, 60);
        return data.ToArray();
    }

    private static async Task Drawing(Random random, int seed, HttpClient client, Tally tally)
    {
        var token = await Sending.Token(client, "/motifs");
        var svg = Svg(random);
        var brought = await tally.Send(client, Sending.File("/motifs?handler=Bring", token, "drawing", "d.svg", random.Next(2) == 0
            ? Encoding.UTF8.GetBytes(svg) : Hostile.Mutated(random, svg)), "drawings", seed);
        if (brought is not { Status: System.Net.HttpStatusCode.OK, Body: var page }
            || page.IndexOf("/motifs/own-", StringComparison.Ordinal) is not (>= 0 and var at))
        {
            return;
        }

        // Put onto a piece, and the piece looked at.
        var own = string.Concat(page.AsSpan(at + "/motifs/".Length, 20).ToString().TakeWhile(c => char.IsAsciiLetterOrDigit(c)
            || c == '-'));
        var made = await tally.Send(client, Sending.Post("/new",
            [("__RequestVerificationToken", await Sending.Token(client, "/new")), ("Words", "Ida"),
            ("Form", Hostile.Pick(random, "tote", "napkin", "scarf"))]), "drawings", seed);
        if (made?.Location is { } bench && bench.ToString().StartsWith("/bench/", StringComparison.Ordinal))
        {
            var id = bench.ToString()["/bench/".Length..];
            await tally.Send(client, Sending.Post(
                $"/motifs?handler=Put&Piece={id}&Motif={own}{(random.Next(3) == 0 ? "&Arrangement=scatter&Count=30" : string.Empty)}",
                [("__RequestVerificationToken", token)]), "drawings", seed);
            await tally.Send(client, Sending.Get(bench.ToString()), "drawings", seed);
            await tally.Send(client, Sending.Get("/"), "drawings", seed);
            await tally.Send(client, Sending.Post($"{bench}?handler=Away", [("__RequestVerificationToken", token)]), "drawings", seed);
        }
    }

    private static string Svg(Random random)
    {
        var svg = new StringBuilder(
            $"<svg xmlns='http://www.w3.org/2000/svg' width='{Hostile.Number(random)}' "
                + $"viewBox='{Hostile.Pick(random, "0 0 100 100", "0 0 0 0", "NaN 0 1 1", "-5 -5 1e9 1e9")}'>");
        for (var i = random.Next(1, Hostile.Pick(random, 6, 6, 6, 900)); i > 0; i--)
        {
            svg.Append(random.Next(9) switch
            {
                0 => $"<circle cx='{N()}' cy='{N()}' r='{N()}'/>",
                1 => $"<g "
                    + $"transform='{Hostile.Pick(random, "rotate(30)", "scale(0)", "matrix(1 0 0 1)", "translate(1e300)", "skewX(89.9999)")}'><rect x='{N()}' y='{N()}' width='{N()}' height='{N()}'/></g>",
                2 => $"<path d='M{N()} "
                    + $"{N()}{string.Concat(Enumerable.Range(0, random.Next(1, 60)).Select(_ => $"C{N()} {N()} {N()} {N()} {N()} {N()}"))}' fill='none' stroke='#000'/>",
                3 => $"<path d='{Hostile.Any(random).Replace("'", string.Empty, StringComparison.Ordinal)}'/>",
                4 => $"<use href='#{Hostile.Pick(random, "a", "b")}'/><g id='a'><use href='#a'/></g>",
                5 => $"<polygon points='{string.Join(' ', Enumerable.Range(0, random.Next(1, Hostile.Pick(random, 50, 50, 1500))).Select(_ => $"{N()},{N()}"))}'/>",
                6 => string.Concat(Enumerable.Repeat("<g>", random.Next(1, 200))),
                7 => $"<ellipse cx='{N()}' cy='{N()}' rx='{Hostile.Number(random)}' ry='{N()}'/>",
                _ => $"<line x1='{N()}' y1='{N()}' x2='{N()}' y2='{N()}'/>",
            });
        }

        return svg.Append("</svg>").ToString();

        string N() => random.Next(40) == 0 ? Hostile.Number(random)
            : Math.Round(random.NextDouble() * 100, 2).ToString(CultureInfo.InvariantCulture);
    }
}
