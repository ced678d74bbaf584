namespace Dittany.Formats.Sheets;

/// <summary>Leaves on their way to paper, enlarged to make up for what the printer does to lengths.</summary>
public sealed record PrintJob(string Name, IReadOnlyList<Leaf> Leaves, double Enlarged);

/// <summary>Something that puts leaves on paper.</summary>
public interface IPrinter
{
    string Name { get; }

    /// <summary>Prints, and says where the paper is. Throws <see cref="IOException"/> where it cannot.</summary>
    Task<string> Print(PrintJob job, CancellationToken cancel = default);
}

/// <summary>
/// A stand-in for a printer: writes what it is given to a folder, with a scale error that can be set, so that a check line has something to
/// catch.
/// </summary>
public sealed class FolderPrinter(string folder) : IPrinter
{
    private string ErrorFile => Path.Combine(folder, "scale");

    public string Name => "Stand-in printer";

    /// <summary>What it does to every length; 0.97 prints 97 mm for 100. Kept in the folder.</summary>
    public double Scale
    {
        get => File.Exists(ErrorFile) && double.TryParse(File.ReadAllText(ErrorFile), System.Globalization.CultureInfo.InvariantCulture,
            out var scale) && scale is > 0.5 and < 2 ? scale : 1;
        set
        {
            Private(folder);
            File.WriteAllText(ErrorFile, value.ToString("R", System.Globalization.CultureInfo.InvariantCulture));
        }
    }

    /// <summary>What is printed holds people's words: the folder is the owner's alone.</summary>
    private static void Private(string folder)
    {
        if (OperatingSystem.IsWindows())
        {
            Directory.CreateDirectory(folder);
        }
        else
        {
            Directory.CreateDirectory(folder, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        }
    }

    public async Task<string> Print(PrintJob job, CancellationToken cancel = default)
    {
        Private(folder);
        var safe = string.Concat(job.Name.Select(c => char.IsAsciiLetterOrDigit(c) || c == '-' ? c : '-'));
        var path = Path.Combine(folder, $"{safe}.pdf");
        await File.WriteAllBytesAsync(path, LeafPdf.Write(job.Leaves, job.Enlarged * Scale), cancel);
        return path;
    }
}
