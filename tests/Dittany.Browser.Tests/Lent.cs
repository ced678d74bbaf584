using System.Collections.Concurrent;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Dittany.Browser.Tests;

/// <summary>
/// Browsers are started once and lent out: starting one takes longer than most of what is looked at. One that is given back is emptied, so that the next finds it as if it were fresh. They end with the tests.
/// </summary>
public sealed class Lent : ChromeDriver
{
    private static readonly ConcurrentBag<Lent> WithScripts = [];
    private static readonly ConcurrentBag<Lent> WithoutScripts = [];
    private static readonly ConcurrentBag<Lent> All = [];

    private readonly bool _scripts;
    private bool _ending;

    static Lent() => AppDomain.CurrentDomain.ProcessExit += (_, _) =>
    {
        foreach (var browser in All)
        {
            browser._ending = true;
            browser.Dispose();
        }
    };

    // A command that hangs is given up early enough for a wait to ask again.
    private Lent(ChromeOptions options, bool scripts)
        : base(ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver"), options, TimeSpan.FromSeconds(60))
    {
        _scripts = scripts;
        All.Add(this);
    }

    /// <summary>One that nobody has, or a new one.</summary>
    public static Lent One(bool scripts)
    {
        if ((scripts ? WithScripts : WithoutScripts).TryTake(out var free))
        {
            return free;
        }

        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments(
            "--headless=new", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run", "--disable-background-networking", "--disable-component-update", "--disable-sync",
            "--hide-scrollbars", "--disable-dev-shm-usage", $"--user-data-dir={Directory.CreateTempSubdirectory("dittany-profile-").FullName}");
        options.SetLoggingPreference(LogType.Browser, LogLevel.All);
        if (!scripts)
        {
            options.AddUserProfilePreference("profile.managed_default_content_settings.javascript", 2);
        }

        return new Lent(options, scripts);
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
            ExecuteCdpCommand("Storage.clearDataForOrigin", new Dictionary<string, object?>(StringComparer.Ordinal) { ["origin"] = new Uri(Url).GetLeftPart(UriPartial.Authority), ["storageTypes"] = "all" });
        }

        Navigate().GoToUrl("about:blank");
        _ = Manage().Logs.GetLog(LogType.Browser);
    }
}
