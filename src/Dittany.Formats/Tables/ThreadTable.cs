using System.Globalization;
using System.Text;
using CsvHelper;
using Dittany.Core.Materials;

namespace Dittany.Formats.Tables;

/// <summary>What is wrong in a table: its row and column, both from 1, what stands there and what would do.</summary>
public sealed record TableFault(int Row, int Column, string Detail, string Try)
{
    public override string ToString() => $"Row {Row}, column {Column}: {Detail} {Try}";
}

/// <summary>A table of threads as it was read: the good rows, and what is wrong in the others.</summary>
public sealed record ReadThreads(IReadOnlyList<OwnThread> Good, IReadOnlyList<TableFault> Faults);

/// <summary>
/// Her threads as a table: name, colour and kind, with or without a heading, parted by commas, semicolons or tabs (RFC 4180, and what
/// spreadsheets write).
/// </summary>
public static class ThreadTable
{
    private static readonly string[] Heading = ["name", "colour", "thread"];

    /// <summary>A row is no longer than this, bytes: longer ones are no threads.</summary>
    private const int MostOfARow = 16 * 1024;

    /// <summary>Reads a file: UTF-8, with its mark or without, or UTF-16 with it. Never more rows than are kept.</summary>
    public static ReadThreads Read(Stream file)
    {
        using var text = new StreamReader(file, new UTF8Encoding(false), detectEncodingFromByteOrderMarks: true, leaveOpen: true);
        return Read(text);
    }

    public static ReadThreads Read(string text)
    {
        using var reader = new StringReader(text);
        return Read(reader);
    }

    /// <summary>The same table as it would be written.</summary>
    public static string Write(IEnumerable<OwnThread> threads)
    {
        using var writer = new StringWriter(CultureInfo.InvariantCulture);
        using (var csv = CsvWriter.Create(writer, new CsvWriterOptions { NewLine = "\n", HasHeader = false }, leaveOpen: true))
        {
            csv.WriteRecord(Heading);
            foreach (var thread in threads)
            {
                csv.WriteRecord([thread.Name, thread.Hex, thread.Kind]);
            }
        }

        return writer.ToString();
    }

    private static ReadThreads Read(TextReader reader)
    {
        var (good, faults) = (new List<OwnThread>(), new List<TableFault>());
        using var csv = CsvReader.Create(reader, new CsvReaderOptions
        {
            HasHeader = false,
            TrimWhitespace = true,
            SkipEmptyLines = false,
            MaxRecordSize = MostOfARow,
            MalformedData = CsvMalformedDataHandling.Throw,
        }, leaveOpen: true);
        var row = 0;
        try
        {
            while (csv.Read())
            {
                row++;
                var fields = Enumerable.Range(0, csv.FieldCount).Select(csv.GetString).ToArray();
                if (row == 1 && IsHeading(fields))
                {
                    continue;
                }

                if (good.Count >= OwnThread.Most)
                {
                    faults.Add(new TableFault(row, 1, $"There are more than {OwnThread.Most} threads.", "The rows from here on are left out."));
                    break;
                }

                if (faults.Count >= MostFaults)
                {
                    faults.Add(new TableFault(row, 1, "There is something wrong in too many rows.", "It was not read on from here."));
                    break;
                }

                if (fields.Any(f => f.Length > 0))
                {
                    Row(row, fields, good, faults);
                }
            }
        }
        catch (CsvFormatException)
        {
            faults.Add(new TableFault(row + 1, 1, "This row is too long, or its quotation marks do not close.", "It was not read on from here."));
        }

        return new ReadThreads(good, faults);
    }

    /// <summary>So much is told of; beyond it a table is none of threads.</summary>
    private const int MostFaults = 200;

    private static bool IsHeading(string[] fields) => fields.Length > 1
        && fields[1].Trim().ToLowerInvariant() is "colour" or "color" or "hex" or "#";

    private static void Row(int row, string[] fields, List<OwnThread> good, List<TableFault> faults)
    {
        var before = faults.Count;
        if (fields.Length is < 2 or > 3)
        {
            faults.Add(new TableFault(row, Math.Min(fields.Length, 4), $"It has {Core.Measures.Say.Count(fields.Length, "column")}.",
                "Write a name, a colour such as #4f7358, and if you like the kind of thread."));
            return;
        }

        var name = fields[0].Normalize();
        if (name.Contains('\uFFFD', StringComparison.Ordinal))
        {
            faults.Add(new TableFault(row, 1, $"“{name}” holds letters that cannot be read.", "Save the table as UTF-8 and take it again."));
        }
        else if (name.Length is 0 or > OwnThread.MostLetters || name.Any(char.IsControl))
        {
            faults.Add(new TableFault(row, 1, name.Length == 0 ? "The name is empty." : "The name is too long, or holds what is no letter.",
                $"Write up to {OwnThread.MostLetters} letters."));
        }

        var hex = HexOf(fields[1]);
        if (hex is null)
        {
            faults.Add(new TableFault(row, 2, $"“{Short(fields[1])}” is no colour.", "Write it like #4f7358, or by a name of the chart."));
        }

        var kind = fields.Length == 3 && fields[2].Length > 0 ? KindOf(fields[2]) : ThreadKinds.Cotton;
        if (kind is null)
        {
            faults.Add(new TableFault(row, 3, $"“{Short(fields[2])}” is no kind of thread.",
                $"Write one of {Core.Measures.Say.List(ThreadKinds.All.Select(k => k.Id).ToArray())}, or leave it empty."));
        }

        if (faults.Count == before)
        {
            good.Add(new OwnThread(name, hex!, kind!.Id));
        }
    }

    private static string? HexOf(string field)
    {
        var written = field.StartsWith('#') ? field : $"#{field}";
        return Colour.TryParse(written, out var colour) ? colour.ToString()
            : Chart.All.FirstOrDefault(c => string.Equals(c.Name, field, StringComparison.OrdinalIgnoreCase))?.Hex;
    }

    private static ThreadKind? KindOf(string field) => ThreadKinds.All.FirstOrDefault(k =>
        string.Equals(k.Id, field, StringComparison.OrdinalIgnoreCase) || string.Equals(k.Name, field, StringComparison.OrdinalIgnoreCase));

    private static string Short(string field) => field.Length <= 24 ? field : $"{field[..24]}…";
}
