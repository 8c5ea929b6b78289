using Vanto.Core.Commission;
using Vanto.Core.Findings;
using Vanto.Core.Physics;

namespace Vanto.Core.Tests.Commission;

/// <summary>Gauge, hold, torque and refrigerant checks; sources beside each.</summary>
public class ReadingsTests
{
    [Theory] // standard atmosphere; exact unit factors
    [InlineData(-28, VacuumUnit.InHgVacuum, 0, 6506.11, 37.648)]
    [InlineData(29, VacuumUnit.InHgVacuum, 0, 3119.72, 24.736)]
    [InlineData(-0.97, VacuumUnit.BarGauge, 0, 4325, 30.321)]
    [InlineData(-0.1, VacuumUnit.MPaGauge, 0, 1325, 11.140)]
    [InlineData(-24.5, VacuumUnit.InHgVacuum, 1500, 1589.46, 13.911)]
    [InlineData(5000, VacuumUnit.Micron, 0, 666.612, 1.200)]
    [InlineData(1000, VacuumUnit.Micron, 0, 133.322, -17.309)] // printed tables: 1 °F
    [InlineData(500, VacuumUnit.Micron, 0, 66.6612, -24.479)] // printed tables: −12 °F
    public void Vacuum_reading_and_boiling_point(double value, VacuumUnit unit, double altitude, double pascal, double boils)
    {
        var (absolute, finding) = VacuumReading.ToAbsolute(value, unit, Atmosphere.Pressure(altitude));
        finding.ShouldBeNull();
        absolute!.Value.ShouldBe(pascal, pascal * 1e-4, "one standard atmosphere for all stations: exponent 5.2559, where this table took 5.25588");
        VacuumReading.WaterBoilsC(absolute.Value).ShouldBe(boils, 0.002);
    }

    [Theory] // common practice, no published source
    [InlineData(-14.8, VacuumUnit.PsiGauge, 0, "vacuum.gauge-zero")]
    [InlineData(-30, VacuumUnit.PsiGauge, 0, "vacuum.unit-suspect")]
    [InlineData(-28, VacuumUnit.InHgVacuum, 1500, "vacuum.gauge-or-altitude")]
    public void Impossible_readings_are_never_converted(double value, VacuumUnit unit, double altitude, string code)
    {
        var (absolute, finding) = VacuumReading.ToAbsolute(value, unit, Atmosphere.Pressure(altitude));
        absolute.ShouldBeNull();
        finding!.Code.ShouldBe(code);
    }

    [Theory] // common practice, no published source
    [InlineData(300, 700, true, null)]
    [InlineData(450, 1500, false, Severity.Caution)]
    [InlineData(450, 3000, false, Severity.Stop)]
    [InlineData(800, 900, false, Severity.Caution)]
    public void Plain_decay_rule(double start, double after, bool passed, Severity? level)
    {
        var verdict = PlainDecay.Of(start, after);
        (verdict == DecayVerdict.Passed).ShouldBe(passed);
        PlainDecay.Level(verdict).ShouldBe(level);
    }

    [Theory] // Gay-Lussac (published); cases computed outside this project
    [InlineData(400, 25, 391, 19, 1, 0.5, 86400, -4606.1, 14684.1, HoldVerdict.Tight)]
    [InlineData(400, 25, 380, 19, 1, 0.5, 86400, -82006.1, 14684.1, HoldVerdict.Leaking)]
    [InlineData(400, 25, 391, 19, 1, 4, 86400, -4606.1, 108643, HoldVerdict.TemperatureUnsteady)]
    [InlineData(400, 25, 400, 25, 1, 0.5, 600, 0, 14684.1, HoldVerdict.HoldTooShort)]
    [InlineData(400, 25, 406, 25, 1, 0.5, 3600, 41368.5, 14684.1, HoldVerdict.PressureRose)]
    [InlineData(110, 25, 110, 25, 10, 0.2, 3600, 0, 56319.1, HoldVerdict.GaugeTooCoarse)]
    public void M52_pressure_hold_allows_for_the_evening_cooling(double psi1, double t1, double psi2, double t2, double r, double u, double s, double change,
        double uncertainty, HoldVerdict verdict)
    {
        double Abs(double psi) => psi * 6894.757293168 + 101325;
        var hold = PressureHold.Judge(Abs(psi1), t1 + 273.15, Abs(psi2), t2 + 273.15, r * 6894.757293168, u, s, 0.0012);
        hold.ChangePa.ShouldBe(change, 0.6);
        hold.UncertaintyPa.ShouldBe(uncertainty, uncertainty * 1e-4);
        hold.Verdict.ShouldBe(verdict);
    }

    [Theory] // geometry (published)
    [InlineData(38, 0.25, 0.03, 0, 33.9286)]
    [InlineData(38, 0.25, 0.03, 90, 38)]
    [InlineData(16, 0.20, 0.025, 45, 14.7006)]
    [InlineData(55, 0.30, 0.035, 180, 62.2642)]
    public void Crowfoot_setting(double wanted, double lever, double crowfoot, double angle, double expected) =>
        Crowfoot.Setting(wanted, lever, crowfoot, angle).ShouldBe(expected, 1e-4);

    [Theory] // tables computed from the published ancillary equations (from memory); boiling points confirm them below
    [InlineData(RefrigerantKind.R32, true, 25, 1689.722)]
    [InlineData(RefrigerantKind.R134a, true, 40, 1016.554)]
    [InlineData(RefrigerantKind.R290, true, 0, 474.460)]
    [InlineData(RefrigerantKind.R410A, false, 5, 936.207)]
    [InlineData(RefrigerantKind.R410A, true, 60, 3834.828)]
    [InlineData(RefrigerantKind.R407C, false, -20, 279.938)]
    [InlineData(RefrigerantKind.R407C, true, 25, 1019.949)]
    public void Saturation_pressure(RefrigerantKind kind, bool dew, double celsius, double kilopascal)
    {
        Refrigerants.SaturationPressure(kind, dew, celsius + 273.15).ShouldBe(kilopascal * 1000, 1);
        Refrigerants.SaturationTemperature(kind, dew, kilopascal * 1000).ShouldBe(celsius + 273.15, 1e-4);
    }

    [Theory] // normal boiling points as widely tabulated, from memory
    [InlineData(RefrigerantKind.R32, true, -51.65)]
    [InlineData(RefrigerantKind.R134a, true, -26.07)]
    [InlineData(RefrigerantKind.R290, true, -42.11)]
    [InlineData(RefrigerantKind.R410A, false, -51.44)]
    [InlineData(RefrigerantKind.R407C, false, -43.63)]
    public void Normal_boiling_point(RefrigerantKind kind, bool dew, double celsius) =>
        (Refrigerants.SaturationTemperature(kind, dew, 101325) - 273.15).ShouldBe(celsius, 0.006);
}
