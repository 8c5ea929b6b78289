namespace Vanto.Core.Mount;

/// <summary>Cautions that stand on every paper for the workshop and the wall.</summary>
public static class WorkshopCautions
{
    /// <summary>Before drilling.</summary>
    public const string Drilling = "Unknown cables, gas, fuel, brake and water lines: isolate power, look and feel on both sides, pilot hole by hand.";

    private const string Cable = "Safety cable fixed to something inside, not to the railing, sash or window frame.";

    /// <summary>Putting up what hangs, in order; the safety cable first. Nothing for what is fixed.</summary>
    public static IReadOnlyList<string> PutUp(MountKind kind) => kind switch
    {
        MountKind.Railing =>
        [
            Cable, "Hooks on the rail, rests against it; strap them so that nothing rattles.",
            "Nobody below; unit lifted over by two, cable on it before it leaves the hands.", "Feet bolted, hose and cable led in, gap in the window closed.",
            "Level; water runs where it harms nobody.",
        ],
        MountKind.Window =>
        [
            Cable, "Sill or its bracket firm, falling a little outwards; rests set.", "Nobody below; cable on the unit before it passes the sill, two lift.",
            "Sash down on its edge and blocked so that it cannot be pushed up; screws into the frame where the manual asks for them.",
            "Panels in, gap filled and measured for the load; the window can still be a way out, or another one is.",
            "Water runs outside and harms nobody.",
        ],
        _ => [],
    };

    /// <summary>Taking it down, in order; the cable comes off last.</summary>
    public static IReadOnlyList<string> TakeDown(MountKind kind) => kind switch
    {
        MountKind.Railing =>
        [
            "Unit off, its power out; water let out.", "Nobody below; feet undone with the safety cable still on.",
            "Lifted in by two; the cable comes off last.", "Rail looked over for cracks and rust; window tight again.",
        ],
        MountKind.Window =>
        [
            "Unit off, its power out; water let out.", "Nobody below; cable still on, one holds the unit while the sash is freed.",
            "Lifted in by two, level so that no water runs in; the cable comes off last.", "Sash, sill and seal looked over; window shut and locked.",
        ],
        _ => [],
    };

    /// <summary>All of them.</summary>
    public static readonly IReadOnlyList<string> All =
    [
        Drilling,
        "Vehicles: never drill, cut or weld pillars, roof bows, belt anchors, airbag zones, chassis flanges or crush zones; the vehicle maker's body-builder "
            + "guidance decides. Battery disconnected before welding. Inspection and insurance may want a report.",
        "Boats: no hole below the heeled waterline afloat; ignition protection where there is petrol or gas; carbon monoxide.",
        "Heights and lifting: two people, fall protection, no one below; mount first, unit after.",
        "These are estimates on typed data. Local codes, the unit's manual, an engineer for buildings, and licensed refrigerant and electrical work stand "
            + "above them.",
    ];
}
