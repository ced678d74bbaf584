using System.Collections.Immutable;
using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.Diagnostics;

namespace Dittany.Analyzers;

/// <summary>
/// In the core nothing is said not to be null by a mere sign: what must be there is asked for so that it is told at once where it is not,
/// for a null in a plan breaks a page much later.
/// </summary>
[DiagnosticAnalyzer(LanguageNames.CSharp)]
public sealed class NothingForgiven : DiagnosticAnalyzer
{
    private static readonly DiagnosticDescriptor Rule = new(
        "DIT001",
        "The core forgives no null",
        "What must be there is asked for with Sure(), and what may be missing is looked at: the sign '!' hides a null until a plan is told",
        "Design",
        DiagnosticSeverity.Error,
        isEnabledByDefault: true);

    public override ImmutableArray<DiagnosticDescriptor> SupportedDiagnostics => ImmutableArray.Create(Rule);

    public override void Initialize(AnalysisContext context)
    {
        context.ConfigureGeneratedCodeAnalysis(GeneratedCodeAnalysisFlags.None);
        context.EnableConcurrentExecution();
        context.RegisterSyntaxNodeAction(
            node => node.ReportDiagnostic(Diagnostic.Create(Rule, node.Node.GetLocation())), SyntaxKind.SuppressNullableWarningExpression);
    }
}
