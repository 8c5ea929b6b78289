using Vanto.Core.Quantities;

namespace Vanto.Core.Start;

/// <summary>What ends a start, or the running after it.</summary>
public enum TripCause
{
    /// <summary>Nothing does.</summary>
    [Called("")] None,
    [Called("soft starter aborts on low voltage")] SoftStarterAborts,
    [Called("soft starter waits until 3 minutes after the last stop")] SoftStarterWaits,
    [Called("soft starter leaves too little torque: not at speed before it gives up")] SoftStarterTooWeak,
    [Called("source voltage collapse")] VoltageCollapse,
    [Called("engine overload")] EngineOverload,
    [Called("source overload")] SourceOverload,
    [Called("breaker (thermal)")] BreakerThermal,
    [Called("breaker (magnetic)")] BreakerMagnetic,
    [Called("battery collapse")] BatteryCollapse,
    [Called("battery over-current")] BatteryOverCurrent,
    [Called("DC under-voltage")] DcUnderVoltage,
    [Called("compressor does not reach speed")] NoSpeed,
    [Called("voltage")] OtherVoltage,
    [Called("waveform")] ModifiedSine,
    [Called("too little sun")] TooLittleSun,
}

/// <summary>What causes have in common.</summary>
public static class TripCauses
{
    /// <summary>True where the battery ends it, although it holds energy.</summary>
    public static bool OfBattery(this TripCause cause) => cause is TripCause.BatteryOverCurrent or TripCause.DcUnderVoltage or TripCause.BatteryCollapse;

    /// <summary>The cause in words; empty where there is none.</summary>
    public static string Words(this TripCause cause) => Calls.Name(cause);
}
