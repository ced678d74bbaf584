using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Dittany.Core.Crafts;
using Dittany.Core.Items;
using Dittany.Core.Materials;
using Dittany.Core.Motifs;
using Dittany.Core.StitchBook;
using Dittany.Core.Words;

namespace Dittany.Force.Attacks;

/// <summary>
/// Jobs at the door: half of them sound, the others with few or many hostile values, some with bytes changed, some at the limits.
/// </summary>
public sealed class JobsAttack : IAttack
{
    public string Name => "jobs";

    public async Task Once(int seed, HttpClient client, Tally tally)
    {
        var random = new Random(seed);
        var wild = Hostile.Pick(random, 0, 0, 6, 40);
        var job = random.Next(12) switch { 0 => Large(random, wild), 1 or 2 => Own(random, wild), _ => Usual(random, wild) };
        var json = job.ToJsonString();
        var body = random.Next(12) == 0 ? Hostile.Mutated(random, json) : Encoding.UTF8.GetBytes(json);
        await tally.Send(client, Sending.Json(Hostile.Pick(random, "/api/plan", "/api/plan", "/api/template.svg", "/api/template.pdf"),
            body), Name, seed);
    }

    /// <summary>A job of the usual kind; of a hundred values so many are hostile.</summary>
    private static JsonObject Usual(Random random, int wild)
    {
        var form = Hostile.Pick(random, Catalogue.Forms);
        var elements = Enumerable.Range(0, random.Next(1, 4)).Select(i => Element(random, wild, i)).ToArray();
        foreach (var element in elements.Where(_ => random.Next(6) == 0))
        {
            element["zone"] = Hostile.Pick(random, form.Zones).Id;
        }

        return Of(random, wild, form.Id, new JsonArray(elements.Select(e => (JsonNode)e).ToArray()));
    }

    private static T Or<T>(Random random, int wild, T sound, T hostile) => random.Next(100) < wild ? hostile : sound;

    private static JsonObject Of(Random random, int wild, string form, JsonArray elements)
    {
        var item = new JsonObject { ["form"] = form };
        if (random.Next(4) == 0)
        {
            item["fabric"] = new JsonObject
            {
                ["kind"] = Or(random, wild,
                Hostile.Pick(random, Cloths.All).Id, "moonstuff"),
                ["colour"] = Or(random, wild, "#27303a", "red")
            };
        }

        if (random.Next(100) < wild)
        {
            item["measuredMm"] = new JsonObject { ["width"] = Number(random), ["height"] = Number(random) };
        }

        var job = new JsonObject { ["schema"] = "dittany.job/1", ["item"] = item, ["elements"] = elements };
        if (random.Next(4) == 0)
        {
            job["overrules"] = new JsonObject
            {
                [Or(random, wild, "transfer.method", Hostile.Pick(random, "hoop.size", "thread.cut-length", "words.size", "space.place",
                    "needle.size:2", "no.such"))] = Or(random, wild, Hostile.Pick(random, "hot-iron", "film-traced", "freehand"),
                    Hostile.Pick(random, "14", "-1", "as-given")),
            };
        }

        if (random.Next(5) == 0)
        {
            job["dueOn"] = Or(random, wild, "2027-03-14", Hostile.Pick(random, "9999-12-31", "0001-01-01", "soon"));
            job["today"] = Or(random, wild, "2027-03-01", Hostile.Pick(random, "9999-12-30", "9999-12-31", "0001-01-01"));
        }

        if (random.Next(6) == 0)
        {
            job["stash"] = new JsonObject
            {
                ["hoopsMm"] = new JsonArray(Or<JsonNode>(random, wild, 76, Number(random)),
                Or<JsonNode>(random, wild, 127, Number(random)))
            };
            job["workshop"] = new JsonObject
            {
                ["eveningsPerWeek"] = random.Next(0, 8),
                ["minutesPerEvening"] = Or<JsonNode>(random, wild, 45, Number(random)),
                ["hourlyRate"] = Or<JsonNode>(random, wild, 12, Number(random))
            };
        }

        return job;
    }

    private static JsonObject Element(Random random, int wild, int i)
    {
        var element = new JsonObject { ["id"] = $"e{i.ToString(CultureInfo.InvariantCulture)}" };
        if (random.Next(3) == 0)
        {
            element["kind"] = "motif";
            element["motif"] = Hostile.Pick(random, MotifLibrary.Ids.ToArray());
            Maybe("arrangement", Hostile.Pick(random, Arranging.Ids));
            Maybe("count", Or(random, wild, random.Next(2, 12), random.Next(-1, 62)));
            Maybe("heightMm", Or<JsonNode>(random, wild, random.Next(10, 200), Number(random)));
            Maybe("wobblePercent", random.Next(0, 8));
            Maybe("parts", new JsonArray(new JsonObject
            {
                ["role"] = Hostile.Pick(random, "petal", "leaf", "centre", "stem", "outline"),
                ["stitch"] = Hostile.Pick(random, Book.Fills.Select(f => f.Info.Id).Concat(Book.Lines.Select(s => s.Id)).ToArray()),
            }));
        }
        else
        {
            element["kind"] = "text";
            element["text"] = Or(random, Math.Max(wild, 20), Hostile.Pick(random, "Zoë", "Bread & Salt", "Great-aunt Philomena", "MÆ",
                "Little\nPebble"), Hostile.Words(random));
            Maybe("alphabet", Hostile.Pick(random, Dittany.Formats.Alphabets.ShippedAlphabets.Library.Alphabets.Select(a =>
                a.Id).ToArray()));
            Maybe("capHeightMm", Or<JsonNode>(random, wild, random.Next(2, Hostile.Pick(random, 7, 60)), Number(random)));
            Maybe("arrangement", Hostile.Pick(random, "straight", "arc", "ring", "slope", "corner", "monogram", "edge"), wildOnly: true);
            Maybe("rows", random.Next(0, 8), wildOnly: true);
            Maybe("radiusMm", Number(random), wildOnly: true);
        }

        Maybe("stitch", Hostile.Pick(random, Book.Lines.Select(s => s.Id).ToArray()));
        Maybe("thread", Hostile.Pick(random, ThreadKinds.All).Id);
        Maybe("craft", Hostile.Pick(random, AllCrafts.Ids), wildOnly: true);
        Maybe("strands", Or(random, wild, random.Next(1, 7), 0));
        Maybe("colour", Or(random, wild, "#4f7358", "#zz"));
        Maybe("centreMm", new JsonArray(Or<JsonNode>(random, wild, random.Next(0, 400), Number(random)),
            Or<JsonNode>(random, wild, random.Next(0, 400), Number(random))));
        return element;

        void Maybe(string member, JsonNode value, bool wildOnly = false)
        {
            if (random.Next(4) == 0 && (!wildOnly || random.Next(100) < Math.Max(wild, 15)))
            {
                element[member] = value;
            }
        }
    }

    /// <summary>Near the limits: many letters, many copies, scribbles and thickets of her own.</summary>
    private static JsonObject Large(Random random, int wild)
    {
        JsonObject element = random.Next(6) switch
        {
            4 => new()
            {
                ["kind"] = "motif",
                ["motif"] = "own",
                ["heightMm"] = random.Next(10, 300),
                ["drawing"] = Scribble(random, random.Next(20, 1200), Hostile.Pick(random, "shape", "line"), random.Next(2) == 0 ? " Z" : string.Empty)
            },
            5 => new()
            {
                ["kind"] = "text",
                ["text"] = string.Join(' ', Enumerable.Repeat(Hostile.Pick(random, "Bread", "Ogg", "salt and"), random.Next(1, 22))),
                ["craft"] = Hostile.Pick(random, AllCrafts.Ids)
            },
            0 => new()
            {
                ["kind"] = "text",
                ["text"] = string.Join(' ',
                Enumerable.Repeat(Hostile.Pick(random, "WWWW", "Mag", "ggggggggg"), random.Next(1, 40))),
                ["alphabet"] = Hostile.Pick(random, "full-script-line", "full-script", "bouncing-script-line"),
                ["capHeightMm"] = random.Next(8, 60)
            },
            1 => new()
            {
                ["kind"] = "motif",
                ["motif"] = Hostile.Pick(random, "daisy", "sunflower", "wreath"),
                ["arrangement"] = Hostile.Pick(random, "scatter", "ring", "border"),
                ["count"] = random.Next(20, 60),
                ["heightMm"] = random.Next(100, 900)
            },
            2 => new()
            {
                ["kind"] = "motif",
                ["motif"] = "own",
                ["heightMm"] = random.Next(30, 300),
                ["drawing"] = Scribble(random, random.Next(20, 1000))
            },
            _ => new()
            {
                ["kind"] = "motif",
                ["motif"] = "own",
                ["heightMm"] = random.Next(30, 300),
                ["drawing"] = Parts(random, random.Next(20, 2000)),
                ["arrangement"] = Hostile.Pick(random, "one", "scatter")
            },
        };
        return Of(random, wild, Hostile.Pick(random, "scarf", "tote", "tablecloth", "backpack"), [element]);
    }

    private static JsonObject Scribble(Random random, int curves, string kind = "line", string end = "")
    {
        var path = new StringBuilder("M 0 0");
        for (var i = 0; i < curves; i++)
        {
            path.Append(CultureInfo.InvariantCulture,
                $" C {random.Next(600)} {random.Next(600)} {random.Next(600)} {random.Next(600)} {random.Next(600)} {random.Next(600)}");
        }

        return new JsonObject
        {
            ["name"] = "scribble",
            ["parts"] = new JsonArray(
            new JsonObject { ["role"] = "stem", ["kind"] = kind, ["path"] = path.ToString() + end })
        };
    }

    private static JsonObject Parts(Random random, int parts)
    {
        var reach = Hostile.Pick(random, 5, 600);
        return new JsonObject
        {
            ["name"] = "parts",
            ["parts"] = new JsonArray(Enumerable.Range(0, parts).Select(_ =>
            {
                var (x, y) = (random.Next(600), random.Next(600));
                return (JsonNode)new JsonObject
                {
                    ["role"] = Hostile.Pick(random, "petal", "stem", "leaf", "dot"),
                    ["kind"] = "line",
                    ["path"] = string.Create(CultureInfo.InvariantCulture,
                        $"M {x} {y} C {x + random.Next(reach)} {y} {x} {y + random.Next(reach)} {x + random.Next(reach)} "
                            + $"{y + random.Next(reach) + 1}"),
                };
            }).ToArray()),
        };
    }

    /// <summary>Items of her own with outlines that cross, zones without room, obstacles over everything.</summary>
    private static JsonObject Own(Random random, int wild)
    {
        JsonArray Ring(int most) => new(Enumerable.Range(0, random.Next(3, 9)).Select(_ =>
            (JsonNode)new JsonArray(random.Next(most), random.Next(most))).ToArray());
        JsonArray Box(int x, int y, int w, int h) => new(new JsonArray(x, y), new JsonArray(x + w, y), new JsonArray(x + w, y + h),
            new JsonArray(x, y + h));
        var (w, h) = (random.Next(20, 900), random.Next(20, 900));
        var zone = random.Next(100) < wild ? Ring(Math.Min(w, h)) : Box(w / 8, h / 8, w * 3 / 4, h * 3 / 4);
        var job = Of(random, wild, "own-1", [Element(random, wild, 0)]);
        job["item"]!["own"] = new JsonObject
        {
            ["schema"] = "dittany.form/1",
            ["id"] = "own-1",
            ["name"] = "Thing",
            ["shape"] = "rectangle",
            ["measuredMm"] = new JsonObject(),
            ["face"] = new JsonObject
            {
                ["id"] = "front",
                ["name"] = "front",
                ["outlineMm"] = random.Next(100) < wild ? Ring(900) : Box(0, 0, w, h),
                ["zones"] = new JsonArray(new JsonObject
                {
                    ["id"] = "middle",
                    ["name"] = "middle",
                    ["edgeMm"] = Hostile.Pick(random, 5, h * 3 / 8, h * 3 / 16, 0),
                    ["ringMm"] = zone
                }),
                ["obstacles"] = new JsonArray(new JsonObject
                {
                    ["id"] = "button",
                    ["name"] = "button",
                    ["kind"] = "button-edge",
                    ["ringMm"] = random.Next(100) < wild ? Ring(Math.Max(w, h)) : Box(w / 3, 0, w / 3, random.Next(1, h + 1))
                }),
            },
            ["cloth"] = "linen",
            ["colour"] = "#f1ede2",
            ["wearer"] = "adult",
            ["lined"] = false,
        };
        return job;
    }

    private static JsonNode Number(Random random) => random.Next(8) switch
    {
        0 => -1,
        1 => 1e300,
        2 => 0,
        3 => 1e-9,
        4 => "12",
        _ =>
        Math.Round(random.NextDouble() * 400, 2)
    };
}
