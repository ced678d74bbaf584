using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>
/// Browsers are started once and lent out: starting one takes longer than most of what is looked at. One that is given back is emptied, so
/// that the next finds it as if it were fresh. They end with the last program that was looked at, or with the tests, whatever comes first:
/// none may go on running on the machine it was tested on.
/// </summary>
public sealed class Lent : ChromeDriver
{
    private static readonly ConcurrentBag<Lent> WithScripts = [];
    private static readonly ConcurrentBag<Lent> WithoutScripts = [];
    private static readonly ConcurrentBag<Lent> All = [];
    private static int _looking;

    private readonly bool _scripts;
    private readonly ChromeDriverService _service;
    private readonly string _profile;
    private bool _ending;

    static Lent() => AppDomain.CurrentDomain.ProcessExit += (_, _) => EndAll();

    // A command that hangs is given up early enough for a wait to ask again.
    private Lent(ChromeDriverService service, ChromeOptions options, string profile, bool scripts)
        : base(service, options, TimeSpan.FromSeconds(60))
    {
        (_service, _profile, _scripts) = (service, profile, scripts);
        All.Add(this);
    }

    /// <summary>Somebody begins to look at a program.</summary>
    public static void Begin() => Interlocked.Increment(ref _looking);

    /// <summary>Somebody has looked enough: with the last the browsers end.</summary>
    public static void End()
    {
        if (Interlocked.Decrement(ref _looking) == 0)
        {
            EndAll();
        }
    }

    /// <summary>Ends them with all their processes. Asking them to go takes longer than a test run that is over waits for.</summary>
    private static void EndAll()
    {
        WithScripts.Clear();
        WithoutScripts.Clear();
        while (All.TryTake(out var browser))
        {
            browser._ending = true;
            try
            {
                using var driver = System.Diagnostics.Process.GetProcessById(browser._service.ProcessId);
                driver.Kill(entireProcessTree: true);
                driver.WaitForExit();
                Directory.Delete(browser._profile, true);
            }
            catch (Exception e) when (e is ArgumentException or InvalidOperationException or IOException)
            {
                // It is gone already, or its last process still holds its folder.
            }
        }
    }

    /// <summary>One that nobody has, or a new one.</summary>
    public static Lent One(bool scripts)
    {
        if ((scripts ? WithScripts : WithoutScripts).TryTake(out var free))
        {
            return free;
        }

        var profile = Directory.CreateTempSubdirectory("dittany-profile-").FullName;
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking",
                "--disable-component-update", "--disable-sync",
            "--hide-scrollbars", "--disable-dev-shm-usage", $"--user-data-dir={profile}");
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        if (!scripts)
        {
            options.AddUserProfilePreference("profile.managed_default_content_settings.javascript", 2);
        }

        return new Lent(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options, profile, scripts);
    }

    protected override void Dispose(bool disposing)
    {
        if (_ending || !disposing)
        {
            base.Dispose(disposing);
            return;
        }

        try
        {
            Empty();
            (_scripts ? WithScripts : WithoutScripts).Add(this);
        }
        catch (WebDriverException)
        {
            // One that does not answer any more is not lent again.
            _ending = true;
            base.Dispose(disposing);
        }
    }

    /// <summary>One window on an empty page, online, without cookies, storage or anything it logged.</summary>
    private void Empty()
    {
        foreach (var window in WindowHandles.Skip(1))
        {
            SwitchTo().Window(window);
            Close();
        }

        SwitchTo().Window(WindowHandles[0]);
        App.Offline(this, false);
        ExecuteCdpCommand("Network.clearBrowserCookies", []);
        if (Url.StartsWith("http", StringComparison.Ordinal))
        {
            ExecuteCdpCommand("Storage.clearDataForOrigin", new Dictionary<string,
                object?>(StringComparer.Ordinal)
            { ["origin"] = new Uri(Url).GetLeftPart(UriPartial.Authority), ["storageTypes"] = "all" });
        }

        Navigate().GoToUrl("about:blank");
        _ = Manage().Logs.GetLog(LogType.Browser);
    }
}
