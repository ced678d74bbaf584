using System.Text;
using Dittany.Core.Materials;
using Dittany.Formats.Tables;

namespace Dittany.Web.Tests.Tables;

/// <summary>Her threads as a table, as spreadsheets write it and as nobody should.</summary>
public class ThreadTableTests
{
    /// <summary>
    /// RFC 4180: quotation marks doubled, a comma and a line within a field; and semicolons, tabs, headings, names of the chart.
    /// </summary>
    [Theory]
    [InlineData("moss,#7d8a45\n\"old \"\"rose\"\", faded\",d4657f,pearl-8\n", "moss|#7d8a45|cotton", "old \"rose\", faded|#d4657f|pearl-8")]
    [InlineData("Name;Colour;Thread\r\nmoss;moss green;\r\nsilver;#C0C0C0;metallic thread\r\n", "moss|#7d8a45|cotton", "silver|#c0c0c0|metallic")]
    [InlineData("moss\t#7D8A45\n\nrose\t#d4657f", "moss|#7d8a45|cotton", "rose|#d4657f|cotton")]
    public void Tables_are_read(string table, string first, string second)
    {
        var read = ThreadTable.Read(table);
        Assert.Empty(read.Faults);
        Assert.Equal([first, second], read.Good.Select(t => $"{t.Name}|{t.Hex}|{t.Kind}"));
        Assert.Equal(read.Good, ThreadTable.Read(ThreadTable.Write(read.Good)).Good);
    }

    /// <summary>Each thing that is wrong has its row and column and what would do; the good rows are still there.</summary>
    [Fact]
    public void What_is_wrong_is_told_by_row_and_column()
    {
        var read = ThreadTable.Read("moss,#7d8a45\nsky,blueish\n,#112233\nrose,#d4657f,spaghetti\none\na,#112233,cotton,b\nhay,#e0c070,wool\n");
        Assert.Equal(["moss", "hay"], read.Good.Select(t => t.Name));
        Assert.Equal([(2, 2), (3, 1), (4, 3), (5, 1), (6, 4)], read.Faults.Select(f => (f.Row, f.Column)));
        Assert.All(read.Faults, f => Assert.NotEmpty(f.Try));
        Assert.Contains("“blueish” is no colour", read.Faults[0].ToString(), StringComparison.Ordinal);
    }

    /// <summary>UTF-8 and UTF-16 with their marks are read; what is in another encoding is told of, not kept with broken letters.</summary>
    [Fact]
    public void Encodings_are_told_apart()
    {
        const string Table = "Grün,#4f7358\n";
        foreach (var encoding in new Encoding[] { new UTF8Encoding(true), new UTF8Encoding(false), new UnicodeEncoding(false, true) })
        {
            Assert.Equal("Grün", Assert.Single(Read([.. encoding.GetPreamble(), .. encoding.GetBytes(Table)]).Good).Name);
        }

        var old = Read(Encoding.Latin1.GetBytes(Table));
        Assert.Empty(old.Good);
        Assert.Contains("UTF-8", Assert.Single(old.Faults).Try, StringComparison.Ordinal);

        static ReadThreads Read(byte[] file)
        {
            using var stream = new MemoryStream(file);
            return ThreadTable.Read(stream);
        }
    }

    /// <summary>A million rows, one endless row, and quotation marks that never close end by themselves, with what was good kept.</summary>
    [Fact]
    public void It_ends_however_long_the_table_is()
    {
        var many = ThreadTable.Read(string.Concat(Enumerable.Repeat("moss,#7d8a45\n", 1_000_000)));
        Assert.Equal(OwnThread.Most, many.Good.Count);
        Assert.Equal((OwnThread.Most + 1, 1), many.Faults.Select(f => (f.Row, f.Column)).Single());
        Assert.NotEmpty(ThreadTable.Read($"moss,#7d8a45\n{new string('x', 3_000_000)}\n").Faults);
        var open = ThreadTable.Read("moss,#7d8a45\n\"rose,#d4657f\nhay,#e0c070\n");
        Assert.Equal("moss", Assert.Single(open.Good).Name);
        Assert.NotEmpty(open.Faults);
        Assert.NotEmpty(ThreadTable.Read(string.Concat(Enumerable.Repeat("x,y\n", 5000))).Faults);
    }
}
