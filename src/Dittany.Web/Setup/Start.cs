using System.Globalization;

namespace Dittany.Web.Setup;

/// <summary>
/// How the program was asked to start: what it says of itself is read once, and what makes no sense is told in one sentence. Never another
/// port or folder than was named.
/// </summary>
public sealed record Start(string Folder, int Port, bool Demo)
{
    public const int UsualPort = 5210;

    /// <summary>
    /// Threads that are there at once: for all plans that may be made together, and as many answers beside them as one maker's browsers ask
    /// for.
    /// </summary>
    public const int Threads = 24;

    private const int MostPort = 65535;

    /// <summary>
    /// Numbers and days in forms, logs and files are read and written alike on every machine: what a browser sends does not follow the
    /// country it is used in.
    /// </summary>
    public static void PinCulture()
    {
        (CultureInfo.CurrentCulture, CultureInfo.CurrentUICulture) = (CultureInfo.InvariantCulture, CultureInfo.InvariantCulture);
        (CultureInfo.DefaultThreadCurrentCulture, CultureInfo.DefaultThreadCurrentUICulture) = (CultureInfo.InvariantCulture,
            CultureInfo.InvariantCulture);
    }

    /// <summary>What was asked for by environment and arguments, or why it cannot be.</summary>
    public static (Start? Start, string? Refusal) Read(Func<string, string?> environment, IReadOnlyList<string> args)
    {
        if (Safety.Refusal(environment("DITTANY_BIND")) is { } open)
        {
            return (null, open);
        }

        var port = UsualPort;
        if (environment("DITTANY_PORT") is { Length: > 0 } asked
            && !(int.TryParse(asked, NumberStyles.None, CultureInfo.InvariantCulture, out port) && port is >= 1 and <= MostPort))
        {
            return (null,
                $"DITTANY_PORT is '{asked}', and a port is a whole number from 1 to {MostPort}. Name another, or unset it for {UsualPort}.");
        }

        var demo = args.Contains("--demo", StringComparer.Ordinal);
        if (environment("DITTANY_DATA") is { } named && !string.IsNullOrWhiteSpace(named))
        {
            return (new Start(named, port, demo), null);
        }

        var home = Environment.GetFolderPath(Environment.SpecialFolder.UserProfile);
        return home.Length == 0 || environment("HOME") is { Length: 0 }
            ? (null, "There is no home folder to keep your data in: HOME names none. Name a folder in DITTANY_DATA.")
            : (new Start(Path.Combine(home, demo ? ".dittany-demo" : ".dittany"), port, demo), null);
    }
}
