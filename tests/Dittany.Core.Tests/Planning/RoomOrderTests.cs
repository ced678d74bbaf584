using Dittany.Core.Planning;
using NetArchTest.Rules;

namespace Dittany.Core.Tests.Planning;

/// <summary>Rooms stand in the order of the data: a room may use the rooms above it, never one below, and none sees a job.</summary>
public class RoomOrderTests
{
    private static readonly string[] Order =
    [
        "Measures", "Geometry", "Decisions", "Materials", "Designs", "Stitches", "StitchBook", "Items", "Space", "Words", "Motifs",
            "Hooping", "Route", "Threads", "Operations", "Effort",
        "Transfer", "Crafts", "Time", "Finishing", "Cautions", "Jobs", "Planning", "Telling", "Learning",
        "Advising", "Sayings", "Laws",
    ];

    public static TheoryData<string> Rooms() => [.. Order];

    [Theory]
    [MemberData(nameof(Rooms))]
    public void A_room_uses_only_rooms_above_it(string room)
    {
        var below = Order.Skip(Array.IndexOf(Order, room) + 1).Select(r => $"Dittany.Core.{r}").ToArray();
        var types = Types.InAssembly(typeof(Planner).Assembly).That().ResideInNamespace($"Dittany.Core.{room}");
        Assert.NotEmpty(types.GetTypes());
        if (below.Length > 0)
        {
            var result = types.ShouldNot().HaveDependencyOnAny(below).GetResult();
            Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
        }
    }

    [Fact]
    public void Every_type_lives_in_a_room()
    {
        var homeless = typeof(Planner).Assembly.GetTypes()
            .Where(t => t.Namespace?.StartsWith("Dittany", StringComparison.Ordinal) == true
                && !Order.Contains(t.Namespace.Split('.').ElementAtOrDefault(2)));
        Assert.Empty(homeless);
    }

    [Fact]
    public void The_core_knows_no_web_no_store_and_no_clock()
    {
        var result = Types.InAssembly(typeof(Planner).Assembly).ShouldNot()
            .HaveDependencyOnAny("Microsoft.AspNetCore", "Microsoft.EntityFrameworkCore", "System.IO.File", "System.Net.Http",
                "System.Diagnostics.Stopwatch", "System.Random")
            .GetResult();
        Assert.True(result.IsSuccessful, string.Join(", ", result.FailingTypeNames ?? []));
    }
}
