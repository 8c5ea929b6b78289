using Vanto.Core.Job;
using Vanto.Core.Load;
using Vanto.Core.Start;
using Vanto.Core.Survey;
var d = RigPresets.New(RigKind.Van, "x");
d = d with { Survey = d.Survey with { Windows = [new WindowDesign(), new WindowDesign { Side = Side.Right }], Devices = [new DeviceDesign { OnAtStart = true, Supply = DeviceSupply.Ac }] } };
for (int i = 0; i < 30; i++) Assessor.Assess(d);
void T(string n, Action a) { for (int i = 0; i < 5; i++) a(); var w = System.Diagnostics.Stopwatch.StartNew(); for (int i = 0; i < 20; i++) a(); Console.WriteLine($"{n} {w.Elapsed.TotalMilliseconds / 20:0.00} ms"); }
T("all", () => Assessor.Assess(d));
T("survey", () => SurveyStation.Assess(d.Survey));
T("load", () => LoadStation.Assess(d.Survey, d.Load));
var l = LoadStation.Assess(d.Survey, d.Load);
T("unit", () => Vanto.Core.Unit.UnitStation.Assess(d.Unit, l));
var u = Vanto.Core.Unit.UnitStation.Assess(d.Unit, l);
T("start", () => StartStation.Assess(d.Survey, d.Start, u, 38));
T("energy", () => Vanto.Core.Energy.EnergyStation.Assess(new Vanto.Core.Energy.EnergyInputs(d.Survey, d.Load, d.Unit, u.Unit, d.Energy, .2) { Warm = null }));
