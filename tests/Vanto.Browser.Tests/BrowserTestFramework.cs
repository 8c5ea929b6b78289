using System.Reflection;
using Xunit.Abstractions;
using Xunit.Sdk;

namespace Vanto.Browser.Tests;

/// <summary>Runs the tests as ever, and ends the browsers that were kept for the next test once there is none.</summary>
public sealed class BrowserTestFramework(IMessageSink messages) : XunitTestFramework(messages)
{
    /// <inheritdoc />
    protected override ITestFrameworkExecutor CreateExecutor(AssemblyName assemblyName) =>
        new Executor(assemblyName, SourceInformationProvider, DiagnosticMessageSink);

    private sealed class Executor(AssemblyName name, ISourceInformationProvider sources, IMessageSink diagnostics)
        : XunitTestFrameworkExecutor(name, sources, diagnostics)
    {
        protected override async void RunTestCases(IEnumerable<IXunitTestCase> testCases, IMessageSink executionMessageSink,
            ITestFrameworkExecutionOptions executionOptions)
        {
            using var runner = new Runner(TestAssembly, testCases, DiagnosticMessageSink, executionMessageSink, executionOptions);
            await runner.RunAsync();
        }
    }

    private sealed class Runner(ITestAssembly assembly, IEnumerable<IXunitTestCase> cases, IMessageSink diagnostics, IMessageSink execution,
        ITestFrameworkExecutionOptions options) : XunitTestAssemblyRunner(assembly, cases, diagnostics, execution, options)
    {
        protected override Task BeforeTestAssemblyFinishedAsync()
        {
            Browser.EndIdle();
            return base.BeforeTestAssemblyFinishedAsync();
        }
    }
}
