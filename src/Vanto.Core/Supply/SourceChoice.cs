using Vanto.Core.Quantities;

namespace Vanto.Core.Supply;

/// <summary>Which source on board is asked.</summary>
public enum SourceChoice { [Called("inverter")] Inverter, [Called("generator")] Generator, [Called("shore")] Shore, [Called("sun alone")] Sun }
