using System.Globalization;
using System.Net.Sockets;
using System.Net;
using System.Reflection;
using System.Text.Json.Serialization.Metadata;
using Microsoft.AspNetCore.Hosting.Server;
using Microsoft.AspNetCore.Http.Metadata;
using Microsoft.OpenApi;
using Serilog;
using Vanto.Core.Crew;
using Vanto.Core.Job;
using Vanto.Storage;
using Vanto.Web.Calc;
using Vanto.Web.Commission;
using Vanto.Web.Crew;
using Vanto.Web.Energy;
using Vanto.Web.Exchange;
using Vanto.Web.Handover;
using Vanto.Web.Install;
using Vanto.Web.Instruments;
using Vanto.Web.Load;
using Vanto.Web.Mount;
using Vanto.Web.Plan;
using Vanto.Web.Rigs;
using Vanto.Web.Service;
using Vanto.Web.Shop;
using Vanto.Web.Start;
using Vanto.Web.Unit;
using Vanto.Web.Wiring;

namespace Vanto.Web;

/// <summary>Builds and runs the server: loopback only, one store file, the interface's files beside the program.</summary>
public static class Server
{
    /// <summary>Largest body of a request, bytes.</summary>
    public const long BodyLimit = 4 << 20;

    /// <summary>Largest weather file: a year of twelve records an hour.</summary>
    public const long WeatherLimit = 16 << 20;

    private const int PortsTried = 20;

    /// <summary>Serves until Ctrl-C.</summary>
    /// <param name="args"><c>--store FILE</c>, <c>--port N</c>, <c>--demo</c>, <c>--share</c>, <c>--tls</c>.</param>
    public static async Task<int> Run(string[] args)
    {
        var options = new ConfigurationBuilder().AddCommandLine([.. args.Where(a => a is not ("--demo" or "--share" or "--tls"))]).Build();
        var store = options["store"] ?? Path.Combine(
            Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData, Environment.SpecialFolderOption.DoNotVerify), "vanto", "vanto.db");
        if (!int.TryParse(options["port"] ?? "5080", NumberStyles.None, CultureInfo.InvariantCulture, out var wanted) || wanted is < 1 or > 65535)
        {
            Console.Error.WriteLine($"--port must be 1 to 65535; got {options["port"]}.");
            return 1;
        }
        try
        {
            // Held until the process ends: no second server, and no restore under this one.
            using var held = StoreLock.Take(store);
            StoreFile.Prepare(store, Console.WriteLine);
            return await Serve(store, wanted, args);
        }
        catch (Exception e) when (e is StoreException or Microsoft.Data.Sqlite.SqliteException)
        {
            Console.Error.WriteLine(e is Microsoft.Data.Sqlite.SqliteException sqlite ? $"{store}: {StoreFile.Words(sqlite)}" : e.Message);
            return 1;
        }
    }

    private static async Task<int> Serve(string store, int wanted, string[] args)
    {
        var port = FreePort(wanted);
        if (port is null)
        {
            Console.Error.WriteLine($"Ports {wanted} to {wanted + PortsTried - 1} are all in use. Choose another with --port.");
            return 1;
        }
        if (port != wanted)
            Console.WriteLine($"Port {wanted} is in use; taking {port}.");
        var app = Build(new WebApplicationOptions { Args = [], WebRootPath = Path.Combine(AppContext.BaseDirectory, "wwwroot") }, store, port.Value);
        if (args.Contains("--demo") && StoreFile.IsEmpty(store))
            await Demo.DemoRigs.Fill(app.Services);
        await app.StartAsync();
        Console.WriteLine($"Vanto is at http://127.0.0.1:{port}");
        if (args.Contains("--share"))
        {
            var gate = app.Services.GetRequiredService<CrewGate>();
            await gate.Open(args.Contains("--tls"));
            Console.WriteLine($"The crew's network: {string.Join(", ", gate.Addresses)}; a code for a device stands in the yard.");
        }
        _ = Task.Run(() => WarmUp(app.Services));
        await app.WaitForShutdownAsync();
        return 0;
    }

    /// <summary>Opens the yard, then the shop, once before a person does: what is slow about a first time is then over.</summary>
    private static async Task WarmUp(IServiceProvider services)
    {
        await using var scope = services.CreateAsyncScope();
        await scope.ServiceProvider.GetRequiredService<RigDesk>().Yard();
        await scope.ServiceProvider.GetRequiredService<ShopDesk>().View();
    }

    /// <summary>Builds the application on a store.</summary>
    public static WebApplication Build(WebApplicationOptions options, string store, int port, StationRegistry? stations = null,
        TimeProvider? clock = null)
    {
        var builder = WebApplication.CreateSlimBuilder(options);
        // Only what is said here counts: a setting from outside could open a second socket.
        builder.Configuration.Sources.Clear();
        builder.Services.AddSerilog(LogBeside(store).CreateLogger(), dispose: true);
        builder.WebHost.ConfigureKestrel(kestrel =>
        {
            kestrel.Listen(IPAddress.Loopback, port);
            kestrel.Limits.MaxRequestBodySize = BodyLimit;
            kestrel.AddServerHeader = false;
        });
        var storeOptions = StoreFile.Options(store);
        builder.Services.AddScoped(_ => new VantoStore(storeOptions));
        builder.Services.AddSingleton(s => LaptopClock.Of(store, s.GetRequiredService<TimeProvider>()));
        builder.Services.AddSingleton(_ => LaptopSeal.Of(store));
        builder.Services.AddSingleton(s => new CrewBook(CrewBook.FileOf(store), s.GetRequiredService<TimeProvider>()));
        builder.Services.AddSingleton(s => new CrewGate(s.GetRequiredService<CrewBook>(), s.GetRequiredService<IServer>(),
            s.GetRequiredService<EndpointDataSource>(), s.GetRequiredService<TimeProvider>(), s.GetRequiredService<ILogger<CrewGate>>(), store));
        builder.Services.AddSingleton(s => new DailyBackup(store, DailyBackup.FolderOf(store), s.GetRequiredService<TimeProvider>()));
        builder.Services.AddHostedService(s => s.GetRequiredService<DailyBackup>());
        Register(builder.Services, stations ?? StationRegistry.Standard, clock);
        var app = builder.Build();
        Configure(app);
        return app;
    }

    /// <summary>Largest log file, bytes; the newest of them are kept.</summary>
    private const long LogBytes = 2 << 20;

    private const int LogsKept = 3;

    /// <summary>
    /// Warnings and faults go to the console and to a file beside the store, whose size is bounded; where none can be written, to the console.
    /// </summary>
    private static LoggerConfiguration LogBeside(string store) => new LoggerConfiguration()
        .MinimumLevel.Warning()
        .WriteTo.Console(formatProvider: CultureInfo.InvariantCulture)
        .WriteTo.File(LogFile(store), formatProvider: CultureInfo.InvariantCulture, fileSizeLimitBytes: LogBytes, rollOnFileSizeLimit: true,
            retainedFileCountLimit: LogsKept);

    public static string LogFile(string store) => Path.ChangeExtension(Path.GetFullPath(store), ".log");

    /// <summary>All services but the store's place.</summary>
    public static void Register(IServiceCollection services, StationRegistry stations, TimeProvider? clock = null)
    {
        services.AddScoped<RigLog>();
        services.AddScoped<ReadingLog>();
        services.AddSingleton<ReadingQueue>();
        services.AddSingleton<InstrumentDesk>();
        services.AddScoped<RigDesk>();
        services.AddScoped<ShopDesk>();
        services.AddSingleton<ShopIndex>();
        services.AddScoped<PaperDesk>();
        services.AddScoped<BundleFiles>();
        services.AddScoped<ExchangeDesk>();
        services.AddSingleton<LargeFiles>();
        services.AddRateLimiter(o =>
        {
            o.RejectionStatusCode = StatusCodes.Status429TooManyRequests;
            o.AddPolicy(HandoverEndpoints.Limit, HandoverEndpoints.Partition);
        });
        services.AddHostedService<RightsStated>();
        services.AddSingleton(stations);
        services.AddSingleton<AssessmentCache>();
        services.AddSingleton<RigTurns>();
        services.AddSingleton<PaperTurns>();
        services.AddSingleton<LongRuns>();
        services.AddSingleton(clock ?? TimeProvider.System);
        services.AddExceptionHandler<InputProblems>();
        services.AddProblemDetails(o => o.CustomizeProblemDetails = Explain);
        // What cannot be read is thrown to the one place that words it.
        services.Configure<RouteHandlerOptions>(o => o.ThrowOnBadRequest = true);
        services.AddOpenApi("v1", options => options.AddSchemaTransformer((schema, context, _) =>
        {
            Complete(schema, context.JsonTypeInfo);
            return Task.CompletedTask;
        }));
        services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.TypeInfoResolverChain.Insert(0, new DefaultJsonTypeInfoResolver { Modifiers = { stations.Describe } });
            foreach (var converter in JobFile.Json.Converters)
                o.SerializerOptions.Converters.Add(converter);
            o.SerializerOptions.NumberHandling = JobFile.Json.NumberHandling;
            o.SerializerOptions.RespectNullableAnnotations = true;
            o.SerializerOptions.RespectRequiredConstructorParameters = true;
            o.SerializerOptions.AllowDuplicateProperties = false;
        });
    }

    /// <summary>Answers always carry every property, and what is only read is null only where it says so: the interface's types need no guessing.</summary>
    private static void Complete(OpenApiSchema schema, JsonTypeInfo type)
    {
        if (schema.Properties is not { Count: > 0 } properties)
            return;
        schema.Required = properties.Keys.ToHashSet();
        var nullability = new NullabilityInfoContext();
        foreach (var read in type.Properties.Where(p => p.AttributeProvider is PropertyInfo { CanWrite: false }))
            if (properties.TryGetValue(read.Name, out var property) && property is OpenApiSchema { Type: { } of } own
                && nullability.Create((PropertyInfo)read.AttributeProvider!).ReadState == NullabilityState.NotNull)
                own.Type = of & ~JsonSchemaType.Null;
    }

    /// <summary>The pipeline: security first, then the interface's files, then the API.</summary>
    public static void Configure(WebApplication app)
    {
        app.UseMiddleware<LoopbackGuard>();
        app.UseExceptionHandler();
        app.Use(RouteRights.OneSlash);
        app.UseRouting();
        app.Use(RouteRights.Guard);
        app.Use(LargeBodies.Guard);
        var backups = app.Services.GetRequiredService<DailyBackup>();
        app.Use((http, next) =>
        {
            backups.Asked();
            return next(http);
        });
        app.UseRateLimiter();
        app.UseStatusCodePages();
        if (Directory.Exists(app.Environment.WebRootPath))
        {
            app.Use(PageAddresses);
            app.UseStaticFiles(new StaticFileOptions
            {
                OnPrepareResponse =
                    c => c.Context.Response.Headers.CacheControl = c.File.Name is "index.html" or "sw.js" or "files.json" ? "no-cache"
                        : "public, max-age=31536000, immutable",
            });
        }
        var api = app.MapGroup("/api").ProducesProblem(StatusCodes.Status400BadRequest);
        api.MapRigs();
        api.MapAssess();
        api.MapCalculators();
        api.MapCatalogues();
        api.MapGet("/long-runs/{name}", (string name, LongRuns runs) => runs.Place(name)).WithTags("long runs").Needs(CrewRight.Read, Reach.Common);
        api.MapHandover();
        api.MapMount();
        api.MapWiring();
        api.MapPlan();
        api.MapInstall();
        api.MapPhotos();
        api.MapCommission();
        api.MapInstruments();
        api.MapService();
        api.MapShop();
        api.MapExchange();
        api.MapPractice();
        api.MapCrew();
        api.MapUnits();
        api.MapProposals();
        api.MapSeason();
        api.MapStart();
        api.MapSizing();
        api.MapEnergyYear();
        api.MapOptions();
        app.MapPublicGuide();
        app.MapOpenApi("/api/openapi/{documentName}.json").Needs(CrewRight.Read, Reach.Common);
    }

    /// <summary>Addresses that the page itself understands, such as a rig's, are answered with the page.</summary>
    private static Task PageAddresses(HttpContext context, RequestDelegate next)
    {
        var path = context.Request.Path;
        if ((HttpMethods.IsGet(context.Request.Method) || HttpMethods.IsHead(context.Request.Method)) && !path.StartsWithSegments("/api")
            && !Path.HasExtension(path))
            context.Request.Path = "/index.html";
        return next(context);
    }

    /// <summary>The largest body that the address of a request takes.</summary>
    public static long LimitOf(HttpContext context) =>
        context.GetEndpoint()?.Metadata.GetMetadata<IRequestSizeLimitMetadata>()?.MaxRequestBodySize ?? BodyLimit;

    /// <summary>Says in a sentence what a bare status means here.</summary>
    private static void Explain(ProblemDetailsContext context)
    {
        (context.ProblemDetails.Title, context.ProblemDetails.Detail) = (context.ProblemDetails.Status, context.ProblemDetails.Detail) switch
        {
            (404, null) => ("Not found.", "There is no such thing here."),
            (405, null) =>
                ("Not that way.", $"This address does not take {context.HttpContext.Request.Method}; it takes {context.HttpContext.Response.Headers.Allow}."),
            (415, null) => ("This is taken as application/json only.", "Send the header content-type: application/json."),
            var (_, detail) => (context.ProblemDetails.Title, detail),
        };
        context.ProblemDetails.Extensions.Remove("traceId");
    }

    private static int? FreePort(int wanted)
    {
        for (var port = wanted; port < Math.Min(wanted + PortsTried, 65536); port++)
        {
            using var probe = new TcpListener(IPAddress.Loopback, port) { ExclusiveAddressUse = true };
            try
            {
                probe.Start();
                probe.Stop();
                return port;
            }
            catch (SocketException)
            {
                continue;
            }
        }
        return null;
    }
}
