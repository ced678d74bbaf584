using Dittany.Core.Items;
using Dittany.Core.Jobs;
using Dittany.Core.Materials;
using Dittany.Core.Tests.Planning;
using Dittany.Core.Threads;

namespace Dittany.Core.Tests.Materials;

/// <summary>The chart of colours, what is nearest to what, and what is told of a colour.</summary>
public class ChartTests
{
    /// <summary>
    /// A hundred and fifty and more, each with a plain name of its own, and no two nearer than a difference of 3 by CIEDE2000.
    /// </summary>
    [Fact]
    public void The_chart_is_large_and_well_spread()
    {
        var labs = Chart.All.Select(c => Colour.Parse(c.Hex).ToLab()).ToArray();
        Assert.True(labs.Length >= 150);
        Assert.Equal(Chart.All.Count, Chart.All.DistinctBy(c => c.Name, StringComparer.OrdinalIgnoreCase).Count());
        Assert.All(Chart.All, c => Assert.Matches("^[a-z]+( [a-z]+){0,2}$", c.Name));
        for (var i = 0; i < labs.Length; i++)
        {
            for (var j = 0; j < i; j++)
            {
                Assert.True(ColourDifference.Ciede2000(labs[i], labs[j]) >= 3, $"{Chart.All[i].Name} and {Chart.All[j].Name}");
            }
        }

        // Every hue and every lightness is there: of the twelve hours of the hue circle none is empty, nor of five steps of lightness.
        Assert.Equal(12, labs.Where(l => Math.Sqrt((l.A * l.A) + (l.B * l.B)) > 15).Select(l =>
            (int)((Math.Atan2(l.B, l.A) + Math.PI) / (Math.PI / 6)) % 12).Distinct().Count());
        Assert.Equal(5, labs.Select(l => Math.Min(4, (int)(l.L / 20))).Distinct().Count());
    }

    /// <summary>The nearest is the nearest of all by the measure itself, and a colour of the chart is nearest to itself.</summary>
    [Fact]
    public void The_nearest_is_found()
    {
        foreach (var hex in new[] { "#123456", "#fedcba", "#808080", "#00ff00", "#7d8a45" })
        {
            var near = Chart.Nearest(hex, Chart.All, c => c.Hex, 3);
            var lab = Colour.Parse(hex).ToLab();
            Assert.Equal(Chart.All.Min(c => ColourDifference.Ciede2000(lab, Colour.Parse(c.Hex).ToLab())), near[0].Off, 9);
            Assert.True(near[0].Off <= near[1].Off && near[1].Off <= near[2].Off);
        }

        Assert.Equal("moss green", Chart.Nearest("#7d8a45", Chart.All, c => c.Hex, 1)[0].Colour.Name);
    }

    /// <summary>Of her threads the nearest of the kind that is stitched with is told; where she has none of it, that.</summary>
    [Fact]
    public void Her_nearest_thread_is_told()
    {
        var hers = Workshop.Default with
        {
            Threads = [new("Aunt's plum", "#8e3a66", "cotton"), new("hay", "#e0c070", "cotton"), new("plum cord", "#8f3a67", "pearl-8")],
        };
        var told = string.Join(' ', Samples.Make(Samples.Towel(), hers).Decision("thread.colour")!.Because);
        Assert.Contains("Of yours the nearest is “Aunt's plum”: the eye cannot tell them apart.", told, StringComparison.Ordinal);
        var wool = Samples.Towel() with { Form = "cushion-cover", Elements = [new TextElement("name", "Iris") { Thread = "wool" }] };
        Assert.Contains("You have no crewel wool yet.", string.Join(' ', Samples.Make(wool, hers).Decision("thread.colour")!.Because),
            StringComparison.Ordinal);
    }

    /// <summary>
    /// A loud colour on a child's lasting thing is told of, with a softer one that is of the chart; on a grown-up's it is hers.
    /// </summary>
    [Fact]
    public void What_will_still_please_in_ten_years()
    {
        var job = Samples.Towel() with { Form = "baby-bodysuit", Elements = [new TextElement("name", "Zoë", Colour: "#ff2d87")] };
        Assert.Contains("ten years", Told(job), StringComparison.Ordinal);
        Assert.DoesNotContain("ten years", Told(job with { Elements = [new TextElement("name", "Zoë", Colour: "#8f3a67")] }), StringComparison.Ordinal);
        Assert.DoesNotContain("ten years", Told(job with { Form = "tea-towel" }), StringComparison.Ordinal);

        static string Told(Job job) => string.Join(' ', Samples.Make(job, Workshop.Default).Decision("thread.colour")!.Because);
    }

    /// <summary>
    /// Wraps by hand: 25 turns of one strand in a centimetre are 0.4 mm, 13 turns of three 0.77, as the table has it; so a measurement that
    /// finds what was taken changes nothing.
    /// </summary>
    [Theory]
    [InlineData("cotton", 1, 25, 0.4)]
    [InlineData("cotton", 3, 12.987, 0.4)]
    [InlineData("pearl-8", 1, 12.5, 0.8)]
    [InlineData("metallic", 2, 20, 0.33)]
    public void Wraps_make_a_width(string kind, int ply, double wraps, double single) =>
        Assert.Equal(single, Measuring.WidthMm(ThreadKinds.Find(kind)!, ply, wraps), 0.003);

    /// <summary>
    /// Ten backstitches of 3 mm by hand: 30 on the face, nine ways of 6 behind, twenty passes of 0.5 mm: 94 mm. Planned so, they take as
    /// much.
    /// </summary>
    [Fact]
    public void Ten_stitches_tell_what_is_taken_up()
    {
        Assert.Equal(94, Measuring.ReckonedMm(0.5));
        Assert.Equal(1.2, Measuring.TakeUp(300, 300 - (94 * 1.2), 0.5));
        var job = Samples.Towel() with { Elements = [new TextElement("name", "Iris", CapHeightMm: 20)] };
        var (usual, hers) = (Samples.Make(job, Workshop.Default), Samples.Make(job, Workshop.Default with { MeasuredTakeUp = 1.5 }));
        Assert.True(hers.Threads[0].LengthMm > usual.Threads[0].LengthMm * 1.15);
        Assert.Contains("50 %", string.Join(' ', hers.Decision("thread.cut-length")!.Because), StringComparison.Ordinal);
    }
}
