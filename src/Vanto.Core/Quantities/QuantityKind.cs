namespace Vanto.Core.Quantities;

/// <summary>The kinds of quantity that Vanto knows; each has one row in <see cref="QuantityTable"/>.</summary>
public enum QuantityKind
{
    Number, Count, Fraction, Percent, Length, SmallLength, Area, Volume, Temperature, TemperatureDifference, Power,
    ElectricPower, ApparentPower, Energy, HeatEnergy, Voltage, Current, Resistance, Charge, Angle, Latitude, Longitude,
    HourOfDay, Hours, Seconds, Milliseconds, Mass, AbsolutePressure, GaugePressure, AirFlow, Speed, Irradiance,
    ThermalTransmittance, ThermalResistance, Conductivity, HeatCapacity, HumidityRatio, Torque, ConductorArea, Fuel,
    Degrees, Conductance, Enthalpy, SpecificVolume, Density, SpecificHeat, ReactivePower, Vacuum, Ratio, TimeMs, Force, Stress, Frequency,
    Stiffness, SmallVolume,
}

/// <summary>The two display sets a person can switch between at a key.</summary>
public enum UnitSystem { Metric, Customary }
