using System.Buffers.Binary;
using System.IO.Compression;
using Dittany.Core.Geometry;
using Dittany.Core.Words;
using Dittany.Formats.Alphabets;
using HarfBuzzSharp;

namespace Dittany.Web.Tests.Alphabets;

/// <summary>
/// Alphabets made of fonts, against the shaping library asked directly and against the tables of the fonts themselves, read here byte by
/// byte (OpenType 1.9).
/// </summary>
public class FontTests
{
    public static TheoryData<string> Shipped() => [.. ShippedAlphabets.All.Where(a => a.Kind == AlphabetKind.Weighted).Select(a => a.Id)];

    private static byte[] Bytes(string id)
    {
        using var stream = typeof(ShippedAlphabets).Assembly.GetManifestResourceStream($"Alphabets/{id}")!;
        using var copy = new MemoryStream();
        stream.CopyTo(copy);
        return copy.ToArray();
    }

    private static FontAlphabet Find(string id) => (FontAlphabet)ShippedAlphabets.All.Single(a => a.Id == id);

    /// <summary>
    /// A letter heaped with marks, all at one place or on each other, is told of at once in every hand: the outline library would take
    /// minutes over it and nobody else could ask for that font. Marks at one place are one, as they are drawn.
    /// </summary>
    [Theory]
    [InlineData('\u0301', 40)]
    [InlineData('\u0308', 64)]
    [InlineData('\u0323', 17)]
    [InlineData('\u0301', 9)]
    public async Task Letters_heaped_with_marks_are_soon_told_of(char mark, int many)
    {
        foreach (var hand in ShippedAlphabets.All.OfType<FontAlphabet>())
        {
            var heaped = "a" + new string(mark, many);
            var asked = Task.Run(() => (Has: hand.Has(heaped), Row: hand.Shape(heaped, 0)));
            var (has, row) = await asked.WaitAsync(TimeSpan.FromMinutes(1));
            Assert.True(!has || row.Letters.Count > 0, hand.Id);
            Assert.All(row.Letters, l => Assert.NotEmpty(l.Glyph.Strokes));
        }
    }

    private static ReadOnlySpan<byte> Table(byte[] font, string tag)
    {
        for (var i = 0; i < BinaryPrimitives.ReadUInt16BigEndian(font.AsSpan(4)); i++)
        {
            var row = font.AsSpan(12 + (16 * i));
            if (System.Text.Encoding.ASCII.GetString(row[..4]) == tag)
            {
                return font.AsSpan((int)BinaryPrimitives.ReadUInt32BigEndian(row[8..]),
                    (int)BinaryPrimitives.ReadUInt32BigEndian(row[12..]));
            }
        }

        return [];
    }

    [Fact]
    public void At_least_eight_weighted_alphabets_ship_each_with_its_centre_lines()
    {
        Assert.True(ShippedAlphabets.All.Count(a => a.Kind == AlphabetKind.Weighted) >= 8);
        Assert.Equal(ShippedAlphabets.All.Count(a => a.Kind == AlphabetKind.Weighted),
            ShippedAlphabets.All.Count(a => a.Kind == AlphabetKind.CentreLine));
    }

    /// <summary>Letters stand where the shaping library puts them: its advances and kerning, scaled to capitals of 100.</summary>
    [Theory]
    [MemberData(nameof(Shipped))]
    public void Advances_are_the_shaping_librarys(string id)
    {
        const string Word = "AVATo";
        var alphabet = Find(id);
        using var blob = Blob.FromStream(new MemoryStream(Bytes(id)));
        using var face = new Face(blob, 0);
        using var font = new Font(face);
        font.SetFunctionsOpenType();
        font.SetScale(face.UnitsPerEm, face.UnitsPerEm);
        using var buffer = new HarfBuzzSharp.Buffer();
        buffer.AddUtf16(Word);
        buffer.GuessSegmentProperties();
        font.Shape(buffer);
        var (pen, at) = (0.0, new Dictionary<int, double>());
        for (var i = 0; i < buffer.Length; i++)
        {
            at[(int)buffer.GlyphInfos[i].Cluster] = pen * 100 / alphabet.CapUnits;
            pen += buffer.GlyphPositions[i].XAdvance;
        }

        var ours = alphabet.Shape(Word, 0).Letters;
        var read = 0;
        foreach (var letter in ours)
        {
            Assert.Equal(at[read], letter.At, 6);
            read += letter.Glyph.Letter.Length;
        }

        Assert.Equal(Word.Length, read);
    }

    /// <summary>The font's own tables: the advance of H in hmtx, and the height of its box in glyf.</summary>
    [Theory]
    [MemberData(nameof(Shipped))]
    public void Metrics_are_the_fonts_own(string id)
    {
        var (font, alphabet) = (Bytes(id), Find(id));
        using var blob = Blob.FromStream(new MemoryStream(font));
        using var face = new Face(blob, 0);
        using var shaper = new Font(face);
        shaper.SetFunctionsOpenType();
        Assert.True(shaper.TryGetGlyph('H', out var h));
        var long_ = BinaryPrimitives.ReadUInt16BigEndian(Table(font, "hhea")[34..]);
        var advance = BinaryPrimitives.ReadUInt16BigEndian(Table(font, "hmtx")[(4 * (int)Math.Min(h, (uint)long_ - 1))..]);
        Assert.Equal(advance * 100 / alphabet.CapUnits, alphabet.Find("H")!.Advance, 1);

        // glyf by loca (long offsets where head says so): a glyph's row begins with its contours and xMin, yMin, xMax, yMax.
        var wide = BinaryPrimitives.ReadInt16BigEndian(Table(font, "head")[50..]) == 1;
        var loca = Table(font, "loca");
        var offset = wide ? (int)BinaryPrimitives.ReadUInt32BigEndian(loca[(4 * (int)h)..])
            : 2 * BinaryPrimitives.ReadUInt16BigEndian(loca[(2 * (int)h)..]);
        var box = Table(font, "glyf")[offset..];
        Assert.InRange(alphabet.CapUnits, BinaryPrimitives.ReadInt16BigEndian(box[8..]) - BinaryPrimitives.ReadInt16BigEndian(
            box[4..]) - 1, BinaryPrimitives.ReadInt16BigEndian(box[8..]) - BinaryPrimitives.ReadInt16BigEndian(box[4..]) + 1);
    }

    /// <summary>
    /// An H is a hundred units high and stands on the base line; its outline is closed and its strokes are as heavy as the facts say.
    /// </summary>
    [Theory]
    [MemberData(nameof(Shipped))]
    public void Capitals_are_a_hundred_high(string id)
    {
        var points = Find(id).Find("H")!.Lines.SelectMany(l => l).ToArray();
        Assert.InRange(points.Max(p => p.Y) - points.Min(p => p.Y), 99, 101);
        Assert.All(Find(id).Find("H")!.Strokes, s => Assert.True(s.Closed));
        Assert.InRange(Find(id).Facts.StrokeWeight!.Value, 2, 30);
    }

    /// <summary>
    /// Centre lines of a font's I and O against its outline: an upright in the middle of it, and a round that keeps half the stroke's
    /// weight from both edges.
    /// </summary>
    [Theory]
    [InlineData("round-sans")]
    [InlineData("soft-sans")]
    [InlineData("marker-print")]
    public void Centre_lines_run_down_the_middle(string id)
    {
        var (outline, line) = (Find(id), Find(id + Core.Words.Alphabets.LineSuffix));
        var (o, ring) = (line.Find("o")!, outline.Find("o")!);
        Assert.Single(o.Strokes);
        Assert.True(o.Strokes[0].Closed);
        var edges = ring.Lines.Select(l => (IReadOnlyList<Pt>)[.. l, l[0]]).ToArray();

        // 0.3 mm at capitals of 20 mm is 1.5 units.
        Assert.All(o.Lines[0], p => Assert.InRange(Math.Abs(Polyline.ToLine(p, edges[0]) - Polyline.ToLine(p, edges[1])), 0, 3));
        var l = line.Find("l")!.Lines.MaxBy(Polyline.Length)!;
        var ink = outline.Find("l")!;
        Assert.InRange(l[l.Count / 3].X, ink.InkFrom, ink.InkTo);
    }

    /// <summary>
    /// Hebrew goes from right to left: the first letter read stands furthest right; figures in it from left to right (UAX 9).
    /// </summary>
    [Fact]
    public void Hebrew_is_read_from_the_right()
    {
        var letters = Find("soft-sans").Shape("שלום 12", 0).Letters;
        double At(string l) => letters.Single(x => x.Letter == l).At;
        Assert.True(At("ש") > At("ל") && At("ל") > At("ו") && At("ו") > At("ם") && At("ם") > At("2") && At("2") > At("1"));
    }

    /// <summary>
    /// Two numbers in a row that goes from right to left stand from right to left, each of them from left to right (UAX 9, rule L2); in a
    /// row without letters they stand as they are written.
    /// </summary>
    [Theory]
    [InlineData("של 12 34", "3412לש")]
    [InlineData("12 34", "1234")]
    [InlineData("של 12.5", "12.5לש")]
    [InlineData("ab 12 של", "ab12לש")]
    public void Numbers_in_a_row_from_the_right(string row, string seen)
    {
        var letters = Find("soft-sans").Shape(row, 0).Letters;
        Assert.Equal(seen, string.Concat(letters.OrderBy(l => l.At).Select(l => l.Letter)));
    }

    /// <summary>A base and its combining mark are one letter, placed by the font.</summary>
    [Fact]
    public void Marks_stand_on_their_letters()
    {
        var glyph = Find("sturdy-serif").Find("ë")!;
        Assert.Single(Find("sturdy-serif").Shape("e\u0308", 0).Letters);
        Assert.True(glyph.Lines.SelectMany(l => l).Max(p => p.Y) > Find("sturdy-serif").Find("e")!.Lines.SelectMany(l => l).Max(p => p.Y)
            + 5);
    }

    /// <summary>Letters of a script whose outlines run into each other are one outline, and spread wide they are letters again.</summary>
    [Fact]
    public void A_script_runs_together()
    {
        var script = Find("full-script");
        Assert.True(script.Shape("anna", 0).Letters.Count < 4);
        Assert.Equal(4, script.Shape("anna", 20).Letters.Count);
    }

    [Theory]
    [InlineData("日")]
    [InlineData("😀")]
    public void What_a_font_lacks_it_says(string letter) => Assert.Null(Find("slab").Find(letter));

    /// <summary>WOFF unpacks to the font that was packed (W3C WOFF 1.0): packed here table by table, it shapes the same.</summary>
    [Fact]
    public void Woff_is_unpacked()
    {
        var font = Bytes("slab");
        var (read, fault) = FontFile.Read(Woff(font));
        Assert.Null(fault);
        using var same = ShippedAlphabets.Both("w", "w", "w", () => read!.Bytes)[0];
        Assert.Equal(Find("slab").Shape("Anna", 0).Letters.Select(l => l.At), same.Shape("Anna", 0).Letters.Select(l => l.At));
    }

    [Theory]
    [InlineData("", "hardly any bytes")]
    [InlineData("this is a letter, not a font at all", "no font")]
    [InlineData("wOF2xxxxxxxxxxxxxxxx", "WOFF2")]
    public void What_is_no_font_is_refused_in_a_sentence(string text, string told) =>
        Assert.Contains(told, FontFile.Read(System.Text.Encoding.ASCII.GetBytes(text)).Fault!.Detail, StringComparison.Ordinal);

    /// <summary>Broken in any place, a font is refused or read: it never throws out of the door.</summary>
    [Fact]
    public void Broken_fonts_are_refused_or_read_but_never_thrown_over()
    {
        var font = Bytes("slab");
        var seed = new Random(7);
        Assert.NotNull(FontFile.Read(font[..400]).Fault);
        for (var i = 0; i < 60; i++)
        {
            var broken = font.ToArray();
            for (var k = 0; k < 4; k++)
            {
                broken[seed.Next(i < 30 ? 300 : broken.Length)] = (byte)seed.Next(256);
            }

            var (read, fault) = FontFile.Read(broken);
            Assert.True(read is not null ^ fault is not null);
        }

        Assert.Contains("MB", FontFile.Read(new byte[FontFile.MostBytes + 1]).Fault!.Detail, StringComparison.Ordinal);
    }

    private static byte[] Woff(byte[] font)
    {
        var tables = BinaryPrimitives.ReadUInt16BigEndian(font.AsSpan(4));
        using var body = new MemoryStream();
        var head = new byte[44 + (20 * tables)];
        BinaryPrimitives.WriteUInt32BigEndian(head, 0x774F4646);
        font.AsSpan(0, 4).CopyTo(head.AsSpan(4));
        BinaryPrimitives.WriteUInt16BigEndian(head.AsSpan(12), tables);
        for (var i = 0; i < tables; i++)
        {
            var row = font.AsSpan(12 + (16 * i), 16);
            var table = font.AsSpan((int)BinaryPrimitives.ReadUInt32BigEndian(row[8..]),
                (int)BinaryPrimitives.ReadUInt32BigEndian(row[12..])).ToArray();
            using var packed = new MemoryStream();
            using (var zip = new ZLibStream(packed, CompressionLevel.Optimal, leaveOpen: true))
            {
                zip.Write(table);
            }

            var bytes = packed.Length < table.Length ? packed.ToArray() : table;
            var at = head.AsSpan(44 + (20 * i));
            row[..4].CopyTo(at);
            BinaryPrimitives.WriteUInt32BigEndian(at[4..], (uint)(head.Length + body.Length));
            BinaryPrimitives.WriteUInt32BigEndian(at[8..], (uint)bytes.Length);
            BinaryPrimitives.WriteUInt32BigEndian(at[12..], (uint)table.Length);
            row[4..8].CopyTo(at[16..]);
            body.Write(bytes);
        }

        return [.. head, .. body.ToArray()];
    }

    /// <summary>
    /// The plan tells what the strokes want: a slender script is a line of thread, a slab at 40 mm is wide enough to be filled, and both
    /// measure what their own outlines are.
    /// </summary>
    [Fact]
    public void A_plan_tells_whether_the_strokes_want_a_line_or_a_fill()
    {
        static string Told(string alphabet, double cap) =>
            string.Join(' ', Core.Planning.Planner.Make(new Core.Jobs.Job("tea-towel",
            [new Core.Jobs.TextElement("name", "Max", alphabet, CapHeightMm: cap)], new DateOnly(2027, 3, 1)),
            Core.Jobs.Workshop.Default, ShippedAlphabets.Library)
            .Decisions.First(d => d.Id == "words.alphabet").Because);
        Assert.Contains("stands for them", Told("slender-script-line", 14), StringComparison.Ordinal);
        Assert.Contains("wide enough to be filled", Told("slab", 40), StringComparison.Ordinal);
        Assert.Contains("wide enough to be filled", Told("slab-line", 40), StringComparison.Ordinal);
        Assert.DoesNotContain("its strokes are", Told("upright-hand", 14), StringComparison.Ordinal);
        foreach (var font in ShippedAlphabets.All.Where(a => a.Kind == Core.Words.AlphabetKind.Weighted))
        {
            // An even stroke's width is twice its area by its outline: the measure along the middle agrees with it.
            Assert.InRange(font.Facts.StrokeWeight!.Value, font.Facts.Widths!.Thin * 0.75, font.Facts.Widths.Thick * 1.25);
        }
    }

    /// <summary>
    /// A specimen is true to scale: its largest H is as high in the file as it says, in every alphabet (PDF point 1/72 in, ISO 32000), and
    /// what the alphabet lacks is not on it.
    /// </summary>
    [Theory]
    [InlineData("upright-hand")]
    [InlineData("joined-hand")]
    [InlineData("round-sans-line")]
    [InlineData("slab")]
    public void A_specimen_is_as_high_as_it_says(string id)
    {
        var leaf = Formats.Sheets.Specimen.Of(ShippedAlphabets.Library.Find(id)!, "HH日", Core.Materials.Papers.A4);
        // The middle line of an H is lower than its outline by no more than its stroke is thick.
        var heights = leaf.Marks.OfType<Formats.Sheets.LineMark>().Where(m => m.PointsMm[0].X > 40 && m.PointsMm[0].Y < 240).Select(m =>
            m.PointsMm.Max(p => p.Y) - m.PointsMm.Min(p => p.Y)).ToArray();
        foreach (var (cap, _) in Formats.Sheets.Specimen.Heights)
        {
            Assert.Contains(heights, h => h > 0.88 * cap && h < 1.03 * cap);
        }

        using var pdf = UglyToad.PdfPig.PdfDocument.Open(Formats.Sheets.LeafPdf.Write([leaf]));
        var highest = pdf.GetPage(1).Paths.SelectMany(p => p).Select(s =>
            s.GetBoundingRectangle()).OfType<UglyToad.PdfPig.Core.PdfRectangle>().Max(b => b.Height) / 72 * 25.4;
        Assert.InRange(highest, 25 * 0.88, 25 * 1.03);
        Assert.Contains("25 mm, 4 strands", pdf.GetPage(1).Text, StringComparison.Ordinal);
    }

    /// <summary>Letters asked to stand wider do: evening their white must not take back what was added.</summary>
    [Theory]
    [InlineData("round-sans-line")]
    [InlineData("sturdy-serif-line")]
    [InlineData("slab")]
    public void Letters_spread_wider_stand_wider(string id)
    {
        var hand = ShippedAlphabets.Library.Find(id)!;
        var (usual, wide) = (hand.Shape("Marigold", 0).Letters, hand.Shape("Marigold", 20).Letters);
        Assert.Equal(usual.Count, wide.Count);
        Assert.InRange(wide[^1].At - wide[0].At - (usual[^1].At - usual[0].At), 0.8 * 20 * (usual.Count - 1), 20 * (usual.Count - 1) + 0.1);
    }

    /// <summary>
    /// A plan hangs on what it was given: an own font that somebody brought changes nothing in the plan of a job that does not name it, and
    /// is never offered by its hash.
    /// </summary>
    [Theory]
    [InlineData("Zoë & Max", null)]
    [InlineData("Zoë & Max", "full-script")]
    [InlineData("שלום", null)]
    public void An_own_font_changes_no_plan_that_does_not_name_it(string words, string? alphabet)
    {
        var job = new Core.Jobs.Job("baby-bodysuit", [new Core.Jobs.TextElement("name", words, alphabet)],
            new DateOnly(2027, 3, 1));
        string Written(Core.Words.Library library) => Formats.Json.PlanJson.Write(job, Core.Jobs.Workshop.Default,
            Core.Planning.Planner.Make(job, Core.Jobs.Workshop.Default, library)) is var bytes
            ? System.Text.Encoding.UTF8.GetString(bytes) : string.Empty;
        var own = ShippedAlphabets.Both("own-0123456789abcdef", "Somebody's", "Your own.", () => Bytes("sturdy-serif"));
        var with = Written(ShippedAlphabets.Library.With(own));
        Assert.Equal(Written(ShippedAlphabets.Library), with);
        Assert.DoesNotContain("own-0123", with, StringComparison.Ordinal);
    }

    /// <summary>By our own hands alone there is no Hebrew, whatever the program has loaded before.</summary>
    [Fact]
    public void What_was_loaded_before_is_no_part_of_a_library()
    {
        _ = ShippedAlphabets.Library.Find("soft-sans")!.Has("ש");
        var job = new Core.Jobs.Job("tea-towel", [new Core.Jobs.TextElement("name", "שלום")], new DateOnly(2027, 3, 1));
        Assert.NotEmpty(Core.Jobs.JobCheck.Faults(job, Core.Jobs.Workshop.Default, Core.Words.Library.Ours));
        Assert.Empty(Core.Jobs.JobCheck.Faults(job, Core.Jobs.Workshop.Default, ShippedAlphabets.Library));
    }

    /// <summary>
    /// Words that change all day fill no memory: of all letters and runs that were ever made and measured only so many points stay,
    /// whatever is kept of them.
    /// </summary>
    [Fact]
    public void Letters_no_longer_kept_leave_the_memory()
    {
        const int MostPoints = 110_000;
        var alphabet = new FontAlphabet("test-script", "test", "test", AlphabetKind.Weighted, () => Bytes("full-script"));
        var made = Measured(alphabet);
        Assert.True(made.Sum(m => m.Points) > MostPoints * 3 / 2, $"too few points to tell: {made.Sum(m => m.Points)}");
        GC.Collect();
        GC.WaitForPendingFinalizers();
        GC.Collect();
        var left = made.Where(m => m.Letter.IsAlive).Sum(m => m.Points);
        GC.KeepAlive(alphabet);
        Assert.InRange(left, 1, MostPoints);

        // In a room of its own, so that nothing on the stack keeps a letter.
        [System.Runtime.CompilerServices.MethodImpl(System.Runtime.CompilerServices.MethodImplOptions.NoInlining)]
        static List<(WeakReference Letter, int Points)> Measured(FontAlphabet alphabet)
        {
            var (made, random) = (new List<(WeakReference, int)>(), new Random(7));
            for (var i = 0; i < 120; i++)
            {
                foreach (var letter in alphabet.Shape(string.Concat(Enumerable.Range(0, 8).Select(_ => (char)('a' + random.Next(26)))),
                    0).Letters.Select(l => l.Glyph))
                {
                    _ = alphabet.Measure(letter);
                    made.Add((new WeakReference(letter), letter.Lines.Sum(l => l.Count) + letter.Coarse.Sum(l => l.Count)));
                }
            }

            return made;
        }
    }
}
