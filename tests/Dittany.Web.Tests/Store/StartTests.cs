using System.Diagnostics;
using System.Globalization;
using System.Net;
using System.Net.Sockets;
using Dittany.Store;
using Dittany.Web.Setup;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Dittany.Web.Tests.Store;

/// <summary>
/// The program comes up after whatever moment it was killed at, keeps its files to itself, and says in one sentence why it cannot start.
/// </summary>
public sealed class StartTests
{
    private readonly string _path = Directory.CreateTempSubdirectory("dittany-start-").FullName;

    /// <summary>The row by which a migration keeps others out stays behind when it is killed, and was waited for in vain.</summary>
    [Fact]
    public void A_migration_killed_in_the_middle_is_no_bar()
    {
        Migrated();
        using (var connection = new SqliteConnection($"Data Source={_path}/dittany.db;Pooling=False"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "CREATE TABLE IF NOT EXISTS __EFMigrationsLock (Id INTEGER NOT NULL PRIMARY KEY, Timestamp TEXT NOT "
                + "NULL); INSERT INTO __EFMigrationsLock VALUES (1, '2027-03-01 00:00:00+00:00')";
            command.ExecuteNonQuery();
        }

        Assert.Equal(0, Migrated());
    }

    /// <summary>A database that a later program brought up to date is left just as it is, and that is said.</summary>
    [Fact]
    public void A_store_of_a_later_program_is_not_touched()
    {
        Migrated();
        var file = Path.Combine(_path, "dittany.db");
        using (var connection = new SqliteConnection($"Data Source={file};Pooling=False"))
        {
            connection.Open();
            using var command = connection.CreateCommand();
            command.CommandText = "INSERT INTO __EFMigrationsHistory VALUES ('20991231000000_Later', '99.0.0'); PRAGMA wal_checkpoint(TRUNCATE)";
            command.ExecuteNonQuery();
        }

        var before = File.ReadAllBytes(file);
        var told = Assert.Throws<DataFolderException>(() => Migrated()).Message;
        Assert.Contains("later Dittany (20991231000000_Later)", told, StringComparison.Ordinal);
        Assert.Equal(before, File.ReadAllBytes(file));
    }

    [Theory]
    [InlineData("")]
    [InlineData("-wal")]
    [InlineData("-journal")]
    public void A_database_of_no_bytes_is_a_new_one(string beside)
    {
        File.WriteAllBytes(Path.Combine(_path, "dittany.db"), []);
        if (beside.Length > 0)
        {
            File.WriteAllBytes(Path.Combine(_path, $"dittany.db{beside}"), new byte[32]);
        }

        Assert.Equal(0, Migrated());
    }

    [Fact]
    public void Folder_and_files_are_the_owners_alone()
    {
        if (OperatingSystem.IsWindows())
        {
            return;
        }

        // One that stood open before is shut.
        File.WriteAllText(Path.Combine(_path, "before-old.db"), "old");
        File.SetUnixFileMode(Path.Combine(_path, "before-old.db"), UnixFileMode.UserRead | UnixFileMode.GroupRead | UnixFileMode.OtherRead);
        using var folder = DataFolder.Open(_path);
        using var db = Db(folder);
        folder.Migrate(db);
        db.Database.OpenConnection();
        db.Pieces.Add(new PieceRow { Head = 1 });
        db.SaveChanges();
        Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute, File.GetUnixFileMode(_path));
        var files = Directory.GetFiles(_path);
        Assert.Contains(files, f => f.EndsWith("-wal", StringComparison.Ordinal));
        Assert.All(files, f => Assert.Equal(UnixFileMode.UserRead | UnixFileMode.UserWrite, new FileInfo(f).UnixFileMode));
    }

    [Theory]
    [InlineData("80x", "DITTANY_PORT is '80x'")]
    [InlineData("70000", "a whole number from 1 to 65535")]
    [InlineData("0", "a whole number from 1 to 65535")]
    [InlineData("-1", "a whole number from 1 to 65535")]
    public void A_port_that_is_none_is_refused(string port, string said)
    {
        var (start, refusal) = Start.Read(name => name == "DITTANY_PORT" ? port : null, []);
        Assert.Null(start);
        Assert.Contains(said, refusal, StringComparison.Ordinal);
    }

    [Fact]
    public void Without_a_home_a_folder_must_be_named()
    {
        Assert.Contains("HOME names none", Start.Read(name => name == "HOME" ? string.Empty : null, []).Refusal, StringComparison.Ordinal);
        Assert.Equal(("/somewhere", 5210), Start.Read(name =>
            name switch { "HOME" => string.Empty, "DITTANY_DATA" => "/somewhere", _ => null }, []).Start is { } s ? (s.Folder, s.Port)
            : default);
    }

    /// <summary>Everything that keeps the program from starting ends it with an exit code and one sentence, never a stack trace.</summary>
    [Fact]
    public async Task What_keeps_it_from_starting_is_said_in_a_sentence()
    {
        var port = FreePort();
        File.WriteAllText(Path.Combine(_path, "dittany.db"), new string('x', 8192));
        await Says("is damaged, or no database of Dittany", _path, port);
        File.Delete(Path.Combine(_path, "dittany.db"));
        Directory.CreateDirectory(Path.Combine(_path, "dittany.db"));
        await Says("cannot be read and written", _path, port);
        Directory.Delete(Path.Combine(_path, "dittany.db"));
        File.WriteAllText(Path.Combine(_path, "keys", "key-1.xml"), "<key id=");
        await Says("is damaged. Delete it and start again", _path, port);
        File.Delete(Path.Combine(_path, "keys", "key-1.xml"));
        await Says("DITTANY_PORT is '80x'", _path, "80x");
        await Says("cannot be", "/proc/dittany", port);
        using var other = new TcpListener(IPAddress.Loopback, 0);
        other.Start();
        var taken = ((IPEndPoint)other.LocalEndpoint).Port.ToString(CultureInfo.InvariantCulture);
        await Says($"Port {taken} is in use by another program", _path, taken);
        await Says("listens on this machine only", _path, port, bind: "0.0.0.0");
        using var held = DataFolder.Open(_path);
        await Says("in use by another Dittany", _path, port);
    }

    private static string FreePort()
    {
        using var listener = new TcpListener(IPAddress.Loopback, 0);
        listener.Start();
        return ((IPEndPoint)listener.LocalEndpoint).Port.ToString(CultureInfo.InvariantCulture);
    }

    private static async Task Says(string sentence, string folder, string port, string bind = "127.0.0.1")
    {
        var start = new ProcessStartInfo("dotnet", typeof(Program).Assembly.Location)
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
            UseShellExecute = false
        };
        (start.Environment["DITTANY_DATA"], start.Environment["DITTANY_PORT"], start.Environment["DITTANY_BIND"]) = (folder, port, bind);
        using var program = Process.Start(start)!;
        var (said, told) = (program.StandardError.ReadToEndAsync(), program.StandardOutput.ReadToEndAsync());
        await program.WaitForExitAsync();
        Assert.Equal(1, program.ExitCode);
        Assert.Contains(sentence, await said, StringComparison.Ordinal);
        Assert.DoesNotContain("   at ", await said + await told, StringComparison.Ordinal);
    }

    /// <summary>Opens the folder as a start does; how many pieces there are then.</summary>
    private int Migrated()
    {
        using var folder = DataFolder.Open(_path);
        using var db = Db(folder);
        folder.Migrate(db);
        return db.Pieces.Count();
    }

    private static DittanyDb Db(DataFolder folder) =>
        new(new DbContextOptionsBuilder<DittanyDb>().UseSqlite($"{folder.ConnectionString};Pooling=False").AddInterceptors(
        new DurablePragmas()).Options);
}
