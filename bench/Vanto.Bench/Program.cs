using Vanto.Bench;

// ./vanto bench [job|site|core|server|screen|instruments]: the promises on speed and size, measured side by side with what was promised.
// ./vanto bench instruments 60: the ten instruments for so many seconds.
// ./vanto bench inputs: what the programs under tests/references start from.
var wanted = args.FirstOrDefault() ?? "all";
if (wanted == "inputs")
{
    ReferenceInputs.Write(Path.Combine("tests", "references", "inputs"));
    return 0;
}
var rows = new List<Measured>();
if (wanted is "all" or "job" or "core")
    rows.AddRange(CorePromises.OfJobs());
if (wanted is "all" or "site" or "core")
    rows.AddRange(CorePromises.OfSites());
if (wanted is "all" or "core")
    rows.AddRange(CorePromises.Measure());
if (wanted is "all" or "server" or "screen")
    rows.AddRange(await ServerPromises.Measure(wanted));
if (wanted is "all" or "instruments")
    rows.AddRange(await InstrumentPromises.Measure(int.TryParse(args.ElementAtOrDefault(1), out var s) ? s : wanted == "all" ? 60 : 600));
Measured.Print(rows);
Console.WriteLine(
    $"100 million additions one after another took {Measured.Spin():0} ms (160 on an undisturbed core at 2.5 GHz): a machine that is shared or slowed "
        + $"breaks promises by as much.");
Console.WriteLine($"{Environment.ProcessorCount} cores; a promise is kept when its 95th percentile is within it.");
return rows.All(r => r.Kept) ? 0 : 1;
