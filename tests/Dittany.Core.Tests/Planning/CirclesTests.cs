using Dittany.Core.Planning;
using Mono.Cecil;

namespace Dittany.Core.Tests.Planning;

/// <summary>Files that use each other in a circle can only be understood together: a few of them at the most.</summary>
public class CirclesTests
{
    /// <summary>So many stand in one circle at the most.</summary>
    private const int Most = 5;

    [Fact]
    public void No_circle_is_large()
    {
        using var core = AssemblyDefinition.ReadAssembly(typeof(Planner).Assembly.Location, new ReaderParameters { ReadSymbols = true });
        var types = core.MainModule.Types.Where(t => t.Namespace.StartsWith("Dittany.Core", StringComparison.Ordinal) && !t.Name.StartsWith('<'))
            .ToDictionary(t => t.FullName, StringComparer.Ordinal);
        var files = types.ToDictionary(t => t.Key, t => FileOf(t.Value), StringComparer.Ordinal);
        var uses = types.GroupBy(t => files[t.Key], StringComparer.Ordinal).ToDictionary(g => g.Key, g => g.SelectMany(t => Used(t.Value))
            .Where(types.ContainsKey).Select(u => files[u]).Where(u => u != g.Key).Distinct().ToArray(), StringComparer.Ordinal);
        Assert.True(uses.Count > 300);
        var large = Circles(uses).Where(c => c.Count > Most).Select(c => string.Join(", ", c.Select(Path.GetFileNameWithoutExtension).Order(StringComparer.Ordinal))).ToArray();
        Assert.True(large.Length == 0, string.Join('\n', large));
    }

    [Theory]
    [InlineData("a>b b>c c>d", 1)]
    [InlineData("a>b b>c c>a d>a", 3)]
    [InlineData("a>b b>a c>d d>e e>f f>c a>c", 4)]
    public void Circles_are_found(string said, int largest)
    {
        var edges = said.Split(' ').Select(e => e.Split('>')).ToArray();
        var uses = edges.SelectMany(e => e).Distinct().ToDictionary(n => n, n => edges.Where(e => e[0] == n).Select(e => e[1]).ToArray(),
            StringComparer.Ordinal);
        Assert.Equal(largest, Circles(uses).Max(c => c.Count));
    }

    /// <summary>The file a type stands in; its own name where none of its code says so.</summary>
    private static string FileOf(TypeDefinition type) => type.NestedTypes.Prepend(type).SelectMany(t => t.Methods)
        .SelectMany(m => m.DebugInformation.SequencePoints).Select(p => p.Document.Url).FirstOrDefault(u => u.EndsWith(".cs", StringComparison.Ordinal))
        ?? type.FullName;

    /// <summary>Every type that a type names anywhere, nested ones counted to what they stand in.</summary>
    private static IEnumerable<string> Used(TypeDefinition type) => type.NestedTypes.SelectMany(Used).Concat(
        new[] { type.BaseType }.Concat(type.Interfaces.Select(i => i.InterfaceType)).Concat(type.Fields.Select(f => f.FieldType))
        .Concat(type.Methods.SelectMany(m => m.Parameters.Select(p => p.ParameterType).Append(m.ReturnType)))
        .Concat(type.Methods.Where(m => m.HasBody).SelectMany(m => m.Body.Variables.Select(v => v.VariableType)
            .Concat(m.Body.Instructions.SelectMany(i => i.Operand switch
            {
                TypeReference t => [t],
                MethodReference called => [called.DeclaringType, called.ReturnType, .. called is GenericInstanceMethod g
                    ? g.GenericArguments : []],
                FieldReference field => [field.DeclaringType, field.FieldType],
                _ => Array.Empty<TypeReference>(),
            }))))
        .OfType<TypeReference>().SelectMany(Named));

    private static IEnumerable<string> Named(TypeReference type)
    {
        while (type.DeclaringType is { } within)
        {
            type = within;
        }

        return type switch
        {
            GenericInstanceType g => g.GenericArguments.SelectMany(Named).Append(g.ElementType.GetElementType().FullName),
            TypeSpecification of => Named(of.ElementType),
            _ => [type.FullName],
        };
    }

    /// <summary>What uses each other in circles: the strongly connected components (Tarjan 1972).</summary>
    private static List<IReadOnlyList<string>> Circles(Dictionary<string, string[]> uses)
    {
        var (number, low) = (new Dictionary<string, int>(StringComparer.Ordinal), new Dictionary<string, int>(StringComparer.Ordinal));
        var (stack, on, found) = (new Stack<string>(), new HashSet<string>(StringComparer.Ordinal), new List<IReadOnlyList<string>>());
        foreach (var name in uses.Keys.Where(n => !number.ContainsKey(n)))
        {
            Go(name);
        }

        return found;

        void Go(string name)
        {
            number[name] = low[name] = number.Count;
            stack.Push(name);
            on.Add(name);
            foreach (var next in uses[name])
            {
                if (!number.ContainsKey(next))
                {
                    Go(next);
                    low[name] = Math.Min(low[name], low[next]);
                }
                else if (on.Contains(next))
                {
                    low[name] = Math.Min(low[name], number[next]);
                }
            }

            if (low[name] == number[name])
            {
                var circle = new List<string>();
                do
                {
                    on.Remove(stack.Peek());
                    circle.Add(stack.Pop());
                }
                while (circle[^1] != name);
                found.Add(circle);
            }
        }
    }
}
