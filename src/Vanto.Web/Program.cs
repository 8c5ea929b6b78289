using Vanto.Web;

return args.FirstOrDefault() switch
{
    "describe" => await Describe.Run(args[1]),
    "schema" => SchemaPage.Write(args[1]),
    "rights" => await Vanto.Web.Crew.RightsPage.Write(args[1]),
    "backup" => StoreCommands.Backup(args[1], args[2]),
    "simulate" => await Vanto.Web.Instruments.SimulateCommand.Run(args[1..]),
    "verify" => await Vanto.Web.Handover.VerifyCommand.Run(args[1], args[2]),
    "restore" => StoreCommands.Restore(args[1], args[2]),
    _ => await Server.Run(args),
};

/// <summary>Entry point, public so that tests can host it.</summary>
public partial class Program;
