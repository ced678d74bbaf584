using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>The data folder cannot be used; the message says why and what to do.</summary>
public sealed class DataFolderException(string message) : Exception(message);

/// <summary>
/// The folder that holds a maker's data: database, keys, and a lock that keeps a second program out. Opening it brings the database up to date, after a copy.
/// </summary>
public sealed class DataFolder : IDisposable
{
    private const string DemoMark = "demo";
    private readonly FileStream _lock;

    private DataFolder(string path, FileStream @lock)
    {
        Path = path;
        _lock = @lock;
    }

    public string Path { get; }

    public string KeysPath => System.IO.Path.Combine(Path, "keys");

    public string DatabasePath => System.IO.Path.Combine(Path, "dittany.db");

    /// <summary>Connection with foreign keys on; the pragmas of durability are set by <see cref="DurablePragmas"/>.</summary>
    public string ConnectionString => new SqliteConnectionStringBuilder { DataSource = DatabasePath, ForeignKeys = true }.ToString();

    /// <summary>
    /// Opens or makes a folder. <paramref name="demo"/> refuses a folder that holds data it did not make. Throws <see cref="DataFolderException"/> when the folder is in use or
    /// cannot be written.
    /// </summary>
    public static DataFolder Open(string path, bool demo = false)
    {
        try
        {
            Directory.CreateDirectory(path);
            var mark = System.IO.Path.Combine(path, DemoMark);
            if (demo && !File.Exists(mark) && File.Exists(System.IO.Path.Combine(path, "dittany.db")))
            {
                throw new DataFolderException($"'{path}' holds data that is not the demonstration's. Name another folder in DITTANY_DATA.");
            }

            var held = new FileStream(System.IO.Path.Combine(path, "lock"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            if (demo)
            {
                File.WriteAllText(mark, "Made by the demonstration.\n");
            }

            var folder = new DataFolder(path, held);
            Directory.CreateDirectory(folder.KeysPath);
            if (!OperatingSystem.IsWindows())
            {
                File.SetUnixFileMode(folder.KeysPath, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
            }

            return folder;
        }
        catch (IOException e)
        {
            throw new DataFolderException($"'{path}' is in use by another Dittany, or cannot be written ({e.Message}). Stop the other one, or name another folder in DITTANY_DATA.");
        }
        catch (UnauthorizedAccessException)
        {
            throw new DataFolderException($"'{path}' cannot be written. Name another folder in DITTANY_DATA.");
        }
    }

    /// <summary>Brings the database up to date. Where that changes anything in data already there, a copy is made first by the online backup.</summary>
    public void Migrate(DittanyDb db)
    {
        var pending = db.Database.GetPendingMigrations().ToArray();
        if (pending.Length > 0 && db.Database.GetAppliedMigrations().Any())
        {
            using var from = new SqliteConnection(ConnectionString);
            using var to = new SqliteConnection($"Data Source={System.IO.Path.Combine(Path, $"before-{pending[0]}.db")}");
            from.Open();
            to.Open();
            from.BackupDatabase(to);
        }

        db.Database.Migrate();
    }

    public void Dispose() => _lock.Dispose();
}
