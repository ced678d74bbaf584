using Dittany.Core.Time;

namespace Dittany.Core.Tests.Time;

public class SaidDayTests
{
    /// <summary>Monday 1 March 2027 (proleptic Gregorian calendar).</summary>
    private static readonly DateOnly Monday = new(2027, 3, 1);

    /// <summary>
    /// Worked by hand on a calendar of March 2027. “Sunday week” is a week after the coming Sunday (Oxford English Dictionary, “week”, of
    /// days).
    /// </summary>
    [Theory]
    [InlineData("today", "2027-03-01")]
    [InlineData("tomorrow", "2027-03-02")]
    [InlineData("the day after tomorrow", "2027-03-03")]
    [InlineData("Sunday", "2027-03-07")]
    [InlineData("on Monday", "2027-03-08")]
    [InlineData("for Sunday week", "2027-03-14")]
    [InlineData("a week on Sunday", "2027-03-14")]
    [InlineData("Fri", "2027-03-05")]
    [InlineData("next Friday", "2027-03-12")]
    [InlineData("this Friday", "2027-03-05")]
    [InlineData("Saturday fortnight", "2027-03-20")]
    [InlineData("a week today", "2027-03-08")]
    [InlineData("a week tomorrow", "2027-03-09")]
    [InlineData("in a fortnight", "2027-03-15")]
    [InlineData("in 10 days", "2027-03-11")]
    [InlineData("in three weeks", "2027-03-22")]
    [InlineData("three weeks from now", "2027-03-22")]
    [InlineData("in two months' time", "2027-05-01")]
    [InlineData("the weekend", "2027-03-06")]
    [InlineData("14 March", "2027-03-14")]
    [InlineData("14th of March", "2027-03-14")]
    [InlineData("March 14th, 2028", "2028-03-14")]
    [InlineData("Feb 28", "2028-02-28")]
    [InlineData("29 February", "2028-02-29")]
    [InlineData("the 14th", "2027-03-14")]
    [InlineData("the 31st", "2027-03-31")]
    [InlineData("14.3.", "2027-03-14")]
    [InlineData("14.3.2027", "2027-03-14")]
    [InlineData("14/3", "2027-03-14")]
    [InlineData("2027-12-24", "2027-12-24")]
    [InlineData("by Christmas Eve", "2027-12-24")]
    [InlineData("New Year's Day", "2028-01-01")]
    [InlineData("Easter", "2027-03-28")]
    [InlineData("advent", "2027-11-28")]
    [InlineData("end of the month", "2027-03-31")]
    public void A_day_is_read_as_people_say_it(string said, string day) =>
        Assert.Equal(DateOnly.Parse(day, System.Globalization.CultureInfo.InvariantCulture), SaidDay.Read(said, Monday));

    [Theory]
    [InlineData("")]
    [InlineData("someday")]
    [InlineData("31 February")]
    [InlineData("the 32nd")]
    [InlineData("14 Smarch")]
    [InlineData("2027-13-01")]
    [InlineData("Sunday's child")]
    [InlineData("in many weeks")]
    [InlineData("99999999 days")]
    public void What_is_no_day_is_not_guessed(string said) => Assert.Null(SaidDay.Read(said, Monday));

    /// <summary>Dates of Easter Sunday as published (United States Naval Observatory, dates of Easter).</summary>
    [Theory]
    [InlineData(2024, 3, 31)]
    [InlineData(2025, 4, 20)]
    [InlineData(2026, 4, 5)]
    [InlineData(2027, 3, 28)]
    [InlineData(2038, 4, 25)]
    public void Easter_falls_on_its_day(int year, int month, int day) => Assert.Equal(new DateOnly(year, month, day), SaidDay.Easter(year));
}
