using System.Xml;
using System.Xml.Linq;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Store;

/// <summary>The data folder cannot be used; the message says why and what to do, in one sentence or two.</summary>
public sealed class DataFolderException(string message) : Exception(message);

/// <summary>
/// The folder that holds a maker's data: database, keys, and a lock that keeps a second program out. Nobody else on the machine can read
/// it. Opening it brings the database up to date, after a copy, and comes up whatever moment the program was killed at before.
/// </summary>
public sealed class DataFolder : IDisposable
{
    private const string DemoMark = "demo";

    /// <summary>Only whoever runs the program may look into the folder, or into a file of it.</summary>
    private const UnixFileMode OwnersFolder = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;

    private const UnixFileMode OwnersFile = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    /// <summary>SQLite says so where a file is no database, or one with holes in it.</summary>
    private const int NotADatabase = 26;

    private const int Corrupt = 11;

    private const int ReadOnly = 8;

    private const int CannotOpen = 14;

    private const int Full = 13;

    private const int CannotRead = 10;

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
    /// Opens or makes a folder. <paramref name="demo"/> refuses a folder that holds data it did not make. Throws
    /// <see cref="DataFolderException"/> when the folder is in use, cannot be written, or its keys are damaged.
    /// </summary>
    public static DataFolder Open(string path, bool demo = false)
    {
        FileStream? held = null;
        try
        {
            Directory.CreateDirectory(path);
            var mark = System.IO.Path.Combine(path, DemoMark);
            if (demo && !File.Exists(mark) && File.Exists(System.IO.Path.Combine(path, "dittany.db")))
            {
                throw new DataFolderException($"'{path}' holds data that is not the demonstration's. Name another folder in DITTANY_DATA.");
            }

            held = new FileStream(System.IO.Path.Combine(path, "lock"), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None);
            if (demo)
            {
                File.WriteAllText(mark, "Made by the demonstration.\n");
            }

            var folder = new DataFolder(path, held);
            Directory.CreateDirectory(folder.KeysPath);
            folder.KeepPrivate();
            folder.CheckKeys();
            return folder;
        }
        catch (UnauthorizedAccessException)
        {
            held?.Dispose();
            throw new DataFolderException($"'{path}' cannot be written. Name another folder in DITTANY_DATA.");
        }
        catch (IOException e)
        {
            held?.Dispose();
            throw new DataFolderException(held is null && File.Exists(System.IO.Path.Combine(path, "lock"))
                ? $"'{path}' is in use by another Dittany, or cannot be written ({e.Message}). Stop the other one, or name another folder "
                    + $"in DITTANY_DATA."
                : $"'{path}' cannot be used ({e.Message}). Make room there, or name another folder in DITTANY_DATA.");
        }
        catch (DataFolderException)
        {
            held?.Dispose();
            throw;
        }
    }

    /// <summary>
    /// Brings the database up to date. Where that changes anything in data already there, a copy is made first by the online backup. Under
    /// the folder's own lock nobody else migrates, so what a program left behind that was killed in the middle of it is cleared away.
    /// Throws <see cref="DataFolderException"/> where the database cannot be used.
    /// </summary>
    public void Migrate(DittanyDb db)
    {
        try
        {
            if (OfLater(db) is { } later)
            {
                throw new DataFolderException($"'{DatabasePath}' was written by a later Dittany ({later}): start that one, or name another folder in "
                    + "DITTANY_DATA. Nothing was touched.");
            }

            ClearBeginnings();
            var pending = db.Database.GetPendingMigrations().ToArray();
            if (pending.Length > 0 && db.Database.GetAppliedMigrations().Any())
            {
                Copy($"before-{pending[0]}.db");
            }

            db.Database.Migrate();
            KeepPrivate();
        }
        catch (Exception e) when ((e as SqliteException ?? e.InnerException as SqliteException) is { } sqlite)
        {
            throw new DataFolderException(sqlite.SqliteErrorCode switch
            {
                NotADatabase or Corrupt =>
                    $"'{DatabasePath}' is damaged, or no database of Dittany. Put a copy back (before-….db beside it is one), or name "
                        + $"another folder in DITTANY_DATA; nothing was changed.",
                ReadOnly or CannotOpen or CannotRead =>
                    $"'{DatabasePath}' cannot be read and written. Give it back to whoever runs Dittany, or name another folder in "
                        + $"DITTANY_DATA.",
                Full => $"The disk with '{Path}' is full. Make room and start again; nothing was lost.",
                _ => $"'{DatabasePath}' cannot be used ({sqlite.Message}). Name another folder in DITTANY_DATA, or put a copy back.",
            });
        }
        catch (IOException e)
        {
            throw new DataFolderException(
                $"'{DatabasePath}' cannot be used ({e.Message}). Make room there, or name another folder in DITTANY_DATA.");
        }
    }

    public void Dispose() => _lock.Dispose();

    /// <summary>
    /// A migration in the database that this program does not know: one a later program made. Null where there is none, and where there is
    /// no database yet. Only looks.
    /// </summary>
    private string? OfLater(DittanyDb db)
    {
        if (!File.Exists(DatabasePath) || new FileInfo(DatabasePath).Length == 0)
        {
            return null;
        }

        var reading = new SqliteConnectionStringBuilder(ConnectionString) { Pooling = false, Mode = SqliteOpenMode.ReadOnly };
        using var connection = new SqliteConnection(reading.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM sqlite_master WHERE name = '__EFMigrationsHistory'";
        if (Convert.ToInt64(command.ExecuteScalar(), System.Globalization.CultureInfo.InvariantCulture) == 0)
        {
            return null;
        }

        var known = db.Database.GetMigrations().ToHashSet(StringComparer.Ordinal);
        command.CommandText = "SELECT MigrationId FROM __EFMigrationsHistory ORDER BY MigrationId";
        using var reader = command.ExecuteReader();
        while (reader.Read())
        {
            if (!known.Contains(reader.GetString(0)))
            {
                return reader.GetString(0);
            }
        }

        return null;
    }

    /// <summary>
    /// What a killed start leaves: a database of no bytes, which is none yet, and the row by which a migration keeps others out, which
    /// would be waited for in vain.
    /// </summary>
    private void ClearBeginnings()
    {
        if (File.Exists(DatabasePath) && new FileInfo(DatabasePath).Length == 0)
        {
            foreach (var part in new[] { DatabasePath, $"{DatabasePath}-wal", $"{DatabasePath}-shm", $"{DatabasePath}-journal" })
            {
                File.Delete(part);
            }
        }

        if (!File.Exists(DatabasePath))
        {
            return;
        }

        using var connection = new SqliteConnection(new SqliteConnectionStringBuilder(ConnectionString) { Pooling = false }.ToString());
        connection.Open();
        using var command = connection.CreateCommand();
        command.CommandText = "SELECT COUNT(*) FROM sqlite_master WHERE name = '__EFMigrationsLock'";
        if (Convert.ToInt64(command.ExecuteScalar(), System.Globalization.CultureInfo.InvariantCulture) > 0)
        {
            command.CommandText = "DELETE FROM __EFMigrationsLock";
            command.ExecuteNonQuery();
        }
    }

    /// <summary>A copy beside the database. One that a killed start left half made is made anew.</summary>
    private void Copy(string name)
    {
        var to = System.IO.Path.Combine(Path, name);
        File.Delete(to);
        using (Private(to))
        {
            // Made before anything is in it, so that nobody else can read it for a moment.
        }

        using var from = new SqliteConnection(new SqliteConnectionStringBuilder(ConnectionString) { Pooling = false }.ToString());
        using var copy = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = to, Pooling = false }.ToString());
        from.Open();
        copy.Open();
        from.BackupDatabase(copy);
    }

    private static FileStream Private(string path) => OperatingSystem.IsWindows()
        ? new FileStream(path, FileMode.CreateNew)
        : new FileStream(path, new FileStreamOptions { Mode = FileMode.CreateNew, Access = FileAccess.Write, UnixCreateMode = OwnersFile });

    /// <summary>Folders and files of the folder are the owner's alone; SQLite gives its journals the mode of the database.</summary>
    private void KeepPrivate()
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }

        File.SetUnixFileMode(Path, OwnersFolder);
        foreach (var folder in Directory.EnumerateDirectories(Path))
        {
            File.SetUnixFileMode(folder, OwnersFolder);
        }

        foreach (var file in Directory.EnumerateFiles(Path, "*",
            new EnumerationOptions { RecurseSubdirectories = true, AttributesToSkip = FileAttributes.ReparsePoint }))
        {
            File.SetUnixFileMode(file, OwnersFile);
        }
    }

    /// <summary>A key that cannot be read would be passed over in silence, and every form open in a browser refused.</summary>
    private void CheckKeys()
    {
        foreach (var key in Directory.EnumerateFiles(KeysPath, "*.xml"))
        {
            try
            {
                XDocument.Load(key);
            }
            catch (XmlException)
            {
                throw new DataFolderException(
                    $"The key '{key}' is damaged. Delete it and start again: pages that are open then have to be loaded anew, and nothing "
                        + $"else is lost.");
            }
        }
    }
}
