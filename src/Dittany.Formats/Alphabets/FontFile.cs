using System.Buffers.Binary;
using System.IO.Compression;
using System.Security.Cryptography;

namespace Dittany.Formats.Alphabets;

/// <summary>What is wrong with a font file, in a sentence, and what would do.</summary>
public sealed record FontFault(string Detail, string Try);

/// <summary>
/// The bytes of a font that was looked over before any parser saw it: TTF, OTF, or WOFF unpacked to one of them. Every table lies inside
/// the file, those that letters need are there, and none is larger than a font's can be. It is known by the hash of what was brought.
/// </summary>
public sealed record FontFile(byte[] Bytes, string Hash)
{
    public const int MostBytes = 8 << 20;

    private const int MostUnpacked = 24 << 20;

    private const int MostTables = 64;

    private const uint TrueType = 0x00010000;

    private const uint TrueTypeOfOld = 0x74727565;

    private const uint OpenType = 0x4F54544F;

    private const uint Woff = 0x774F4646;

    private const uint Woff2 = 0x774F4632;

    private static readonly uint[] Needed = [Tag("cmap"), Tag("head"), Tag("hhea"), Tag("hmtx"), Tag("maxp")];

    private static readonly FontFault Broken = new("The font is broken: one of its tables lies outside the file.",
        "Download it once more, or take another.");

    /// <summary>Looks a file over; never throws on what it holds.</summary>
    public static (FontFile? Font, FontFault? Fault) Read(byte[] bytes)
    {
        if (bytes.Length > MostBytes)
        {
            return (null, new FontFault($"The font has {bytes.Length / (1 << 20)} MB, and {MostBytes >> 20} is the most.",
                "Take a font of one script; letters for stitching need no more."));
        }

        if (bytes.Length < 12)
        {
            return (null, new FontFault("This is no font: it has hardly any bytes.", "Bring a TTF, OTF or WOFF file."));
        }

        var hash = Convert.ToHexStringLower(SHA256.HashData(bytes));
        switch (BinaryPrimitives.ReadUInt32BigEndian(bytes))
        {
            case TrueType or TrueTypeOfOld or OpenType:
                return Sound(bytes) is { } fault ? (null, fault) : (new FontFile(bytes, hash), null);
            case Woff:
                try
                {
                    return Unpack(bytes) is { } sfnt && Sound(sfnt) is null ? (new FontFile(sfnt, hash), null) : (null, Broken);
                }
                catch (InvalidDataException)
                {
                    return (null, Broken);
                }

            case Woff2:
                return (null, new FontFault("This is a WOFF2 font, which cannot be read here.",
                    "Bring the same font as TTF, OTF or WOFF."));
            default:
                return (null, new FontFault("This is no font.", "Bring a TTF, OTF or WOFF file."));
        }
    }

    /// <summary>
    /// What is wrong with the tables of an unpacked font; null where each lies inside it and all that letters need are there.
    /// </summary>
    private static FontFault? Sound(ReadOnlySpan<byte> font)
    {
        var tables = BinaryPrimitives.ReadUInt16BigEndian(font[4..]);
        if (tables is 0 or > MostTables || font.Length < 12 + (16 * tables))
        {
            return Broken;
        }

        var found = new HashSet<uint>();
        for (var i = 0; i < tables; i++)
        {
            var row = font[(12 + (16 * i))..];
            var (offset, length) = (BinaryPrimitives.ReadUInt32BigEndian(row[8..]), BinaryPrimitives.ReadUInt32BigEndian(row[12..]));
            if (offset > font.Length || length > font.Length - offset)
            {
                return Broken;
            }

            found.Add(BinaryPrimitives.ReadUInt32BigEndian(row));
        }

        return Needed.All(found.Contains) && (found.Contains(Tag("glyf")) || found.Contains(Tag("CFF ")) || found.Contains(Tag("CFF2")))
            ? null
            : new FontFault("The font has no outlines of letters: it is a font of pictures, or only part of one.",
                "Bring a font whose letters are drawn as outlines.");
    }

    /// <summary>
    /// WOFF 1.0 (W3C Recommendation, 13 December 2012): each table packed alone, put together again as a font. Null where it contradicts
    /// itself.
    /// </summary>
    private static byte[]? Unpack(byte[] woff)
    {
        if (woff.Length < 44)
        {
            return null;
        }

        var span = woff.AsSpan();
        var tables = BinaryPrimitives.ReadUInt16BigEndian(span[12..]);
        if (tables is 0 or > MostTables || woff.Length < 44 + (20 * tables))
        {
            return null;
        }

        var directory = 12 + (16 * tables);
        using var body = new MemoryStream();
        var head = new byte[directory];
        BinaryPrimitives.WriteUInt32BigEndian(head, BinaryPrimitives.ReadUInt32BigEndian(span[4..]));
        BinaryPrimitives.WriteUInt16BigEndian(head.AsSpan(4), tables);
        for (var i = 0; i < tables; i++)
        {
            var row = span.Slice(44 + (20 * i), 20);
            var (offset, packed, length) = (BinaryPrimitives.ReadUInt32BigEndian(row[4..]), BinaryPrimitives.ReadUInt32BigEndian(row[8..]),
                BinaryPrimitives.ReadUInt32BigEndian(row[12..]));
            if (offset > woff.Length || packed > woff.Length - offset || packed > length || body.Length + length > MostUnpacked)
            {
                return null;
            }

            var at = head.AsSpan(12 + (16 * i));
            row[..4].CopyTo(at);
            row[16..20].CopyTo(at[4..]);
            BinaryPrimitives.WriteUInt32BigEndian(at[8..], (uint)(directory + body.Length));
            BinaryPrimitives.WriteUInt32BigEndian(at[12..], length);
            var table = new byte[length];
            if (packed == length)
            {
                span.Slice((int)offset, (int)length).CopyTo(table);
            }
            else
            {
                using var zip = new ZLibStream(new MemoryStream(woff, (int)offset, (int)packed), CompressionMode.Decompress);
                try
                {
                    zip.ReadExactly(table);
                }
                catch (EndOfStreamException)
                {
                    return null;
                }
            }

            body.Write(table);
            body.Write(new byte[(4 - (table.Length % 4)) % 4]);
        }

        return [.. head, .. body.ToArray()];
    }

    private static uint Tag(string tag) => ((uint)tag[0] << 24) | ((uint)tag[1] << 16) | ((uint)tag[2] << 8) | tag[3];
}
