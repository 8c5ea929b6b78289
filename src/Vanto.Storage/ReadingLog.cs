using System.Data;
using System.Data.Common;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Storage;

namespace Vanto.Storage;

/// <summary>A reading on its way into the store.</summary>
/// <param name="Rig">It belongs to.</param>
/// <param name="Instrument">That made it.</param>
/// <param name="Quantity">By its name.</param>
public sealed record NewReading(Guid Rig, string Instrument, string Quantity, bool Simulated, long AtMs, long Seq, double? Value, int Quality, long ArrivedMs,
    bool Late);

/// <summary>A point of a channel.</summary>
/// <param name="Value">Null is a moment without one.</param>
public readonly record struct StoredPoint(long AtMs, double? Value);

/// <summary>Writes readings of instruments many at once, and reads them back.</summary>
public sealed class ReadingLog(VantoStore store)
{
    private const long MinuteMs = 60_000;

    /// <summary>A reading whose clock was so far ahead as it arrived is kept, and stretches no trace, ms; common practice. Simulated ones run
    /// ahead; where there is no other, it is all there is.</summary>
    public const long FarAheadMs = LaptopClock.FarAhead;

    /// <summary>Spans up to this are read reading by reading, longer ones by the least and the most of each minute.</summary>
    public static readonly TimeSpan WholeSpan = TimeSpan.FromMinutes(90);

    /// <summary>Keeps readings, all or none; one that is there already stays as it is. Those of rigs that are gone are let go.</summary>
    public async Task Add(IReadOnlyList<NewReading> readings)
    {
        if (store.Database.CurrentTransaction is { } several)
        {
            await Add(readings, several.GetDbTransaction());
            return;
        }
        await using var transaction = await store.Database.BeginTransactionAsync();
        await Add(readings, transaction.GetDbTransaction());
        await transaction.CommitAsync();
    }

    /// <summary>Does several things as one: all readings of them are kept, or none.</summary>
    public async Task AtOnce(Func<Task> work)
    {
        await using var transaction = await store.Database.BeginTransactionAsync();
        await work();
        await transaction.CommitAsync();
    }

    private static async Task Add(IReadOnlyList<NewReading> readings, DbTransaction transaction)
    {
        var channels = new Dictionary<(Guid, string, string, bool), long?>();
        await using var put = Command(transaction, """
                INSERT OR IGNORE INTO Readings (ChannelId, At, Seq, Value, Quality, Arrived, Late)
                VALUES ($channel, $at, $seq, $value, $quality, $arrived, $late)
                """, "$channel", "$at", "$seq", "$value", "$quality", "$arrived", "$late");
        await using var minute = Command(transaction, """
                INSERT INTO Minutes (ChannelId, Minute, Low, High) VALUES ($channel, $minute, $low, $high)
                ON CONFLICT (ChannelId, Minute) DO UPDATE SET Low = min(Low, excluded.Low), High = max(High, excluded.High)
                """, "$channel", "$minute", "$low", "$high");
        var minutes = new Dictionary<(long Channel, long Minute), (double Low, double High)>();
        foreach (var r in readings)
        {
            var key = (r.Rig, r.Instrument, r.Quantity, r.Simulated);
            if (!channels.TryGetValue(key, out var channel))
                channels[key] = channel = await ChannelOf(transaction, r);
            if (channel is not { } id)
                continue;
            await Run(put, id, r.AtMs, r.Seq, (object?)r.Value ?? DBNull.Value, r.Quality, r.ArrivedMs, r.Late);
            if (r.Value is { } value)
            {
                var at = (id, Math.DivRem(r.AtMs, MinuteMs).Quotient);
                var (low, high) = minutes.GetValueOrDefault(at, (value, value));
                minutes[at] = (Math.Min(low, value), Math.Max(high, value));
            }
        }
        foreach (var ((id, at), (low, high)) in minutes)
            await Run(minute, id, at, low, high);
    }

    private static async Task<long?> ChannelOf(DbTransaction transaction, NewReading r)
    {
        await using var make = Command(transaction, """
            INSERT OR IGNORE INTO Channels (RigId, Instrument, Quantity, Simulated)
            SELECT Id, $instrument, $quantity, $simulated FROM Rigs WHERE Id = $rig
            """, "$rig", "$instrument", "$quantity", "$simulated");
        await Run(make, Text(r.Rig), r.Instrument, r.Quantity, r.Simulated);
        await using var find = Command(transaction, """
            SELECT Id FROM Channels WHERE RigId = $rig AND Instrument = $instrument AND Quantity = $quantity AND Simulated = $simulated
            """, "$rig", "$instrument", "$quantity", "$simulated");
        Fill(find, Text(r.Rig), r.Instrument, r.Quantity, r.Simulated);
        return await find.ExecuteScalarAsync() is long id ? id : null;
    }

    /// <summary>Channels of a rig.</summary>
    public async Task<IReadOnlyList<ChannelRow>> Channels(Guid rig) =>
        await store.Channels.AsNoTracking().Where(c => c.RigId == rig).OrderBy(c => c.Instrument).ThenBy(c => c.Quantity).ToListAsync();

    /// <summary>Channels of a rig that have readings, with the first and the last moment of each, ms.</summary>
    public async Task<IReadOnlyList<(ChannelRow Channel, long From, long To)>> Spans(Guid rig)
    {
        var rows = await store.Channels.AsNoTracking().Where(c => c.RigId == rig).OrderBy(c => c.Instrument).ThenBy(c => c.Quantity).Select(c => new
        {
            Channel = c,
            From = store.Readings.Where(r => r.ChannelId == c.Id).Min(r => (long?)r.At),
            To = store.Readings.Where(r => r.ChannelId == c.Id && (c.Simulated || r.At <= r.Arrived + FarAheadMs)).OrderByDescending(r =>
                r.At).Select(r => (long?)r.At)
                .FirstOrDefault() ?? store.Readings.Where(r => r.ChannelId == c.Id).Max(r => (long?)r.At),
        }).ToListAsync();
        return [.. rows.Where(r => r.From is not null).Select(r => (r.Channel, r.From!.Value, r.To!.Value))];
    }

    /// <summary>First and last moment of a channel, ms; null without a reading.</summary>
    public async Task<(long From, long To)?> Span(int channel)
    {
        var from = await store.Readings.Where(r => r.ChannelId == channel).OrderBy(r => r.At).Select(r => (long?)r.At).FirstOrDefaultAsync();
        var to = await store.Readings.Where(r => r.ChannelId == channel
                && (r.At <= r.Arrived + FarAheadMs || store.Channels.Any(c => c.Id == channel && c.Simulated)))
            .OrderByDescending(r => r.At).Select(r => (long?)r.At).FirstOrDefaultAsync();
        to ??= await store.Readings.Where(r => r.ChannelId == channel).MaxAsync(r => (long?)r.At);
        return from is { } a && to is { } b ? (a, b) : null;
    }

    /// <summary>Points of a stretch, in order of time: every reading of a short one, the least and the most of each minute of a long one.</summary>
    public async Task<IReadOnlyList<StoredPoint>> Points(int channel, long fromMs, long toMs, bool whole = false)
    {
        if (whole || toMs - fromMs <= WholeSpan.TotalMilliseconds)
            return await store.Readings.AsNoTracking().Where(r => r.ChannelId == channel && r.At >= fromMs && r.At <= toMs).OrderBy(r => r.At)
                .Select(r => new StoredPoint(r.At, r.Value)).ToListAsync();
        var minutes = await store.Minutes.AsNoTracking().Where(m => m.ChannelId == channel && m.Minute >= fromMs / MinuteMs && m.Minute <= toMs / MinuteMs)
            .OrderBy(m => m.Minute).ToListAsync();
        return [.. minutes.SelectMany(m => new[] { new StoredPoint(m.Minute * MinuteMs, m.Low), new StoredPoint(m.Minute * MinuteMs + MinuteMs / 2, m.High) })];
    }

    /// <summary>All that a channel holds, in order of time.</summary>
    public async Task<IReadOnlyList<ReadingRow>> Whole(int channel) =>
        await store.Readings.AsNoTracking().Where(r => r.ChannelId == channel).OrderBy(r => r.At).ThenBy(r => r.Seq).ToListAsync();

    /// <summary>Readings of a channel.</summary>
    public async Task<long> Count(int channel) => await store.Readings.LongCountAsync(r => r.ChannelId == channel);

    /// <summary>Readings of a rig, without what was simulated.</summary>
    public async Task<long> Count(Guid rig) =>
        await store.Readings.LongCountAsync(r => store.Channels.Any(c => c.Id == r.ChannelId && c.RigId == rig && !c.Simulated));

    /// <summary>Lets go of what simulations left at a rig.</summary>
    public async Task ForgetSimulated(Guid rig) => await store.Channels.Where(c => c.RigId == rig && c.Simulated).ExecuteDeleteAsync();

    private static string Text(Guid id) => id.ToString().ToUpperInvariant();

    private static DbCommand Command(DbTransaction transaction, string sql, params string[] names)
    {
        var command = transaction.Connection!.CreateCommand();
        (command.CommandText, command.Transaction) = (sql, transaction);
        foreach (var name in names)
        {
            var parameter = command.CreateParameter();
            parameter.ParameterName = name;
            command.Parameters.Add(parameter);
        }
        return command;
    }

    private static void Fill(DbCommand command, params object[] values)
    {
        for (var i = 0; i < values.Length; i++)
            command.Parameters[i].Value = values[i];
    }

    private static async Task Run(DbCommand command, params object[] values)
    {
        Fill(command, values);
        await command.ExecuteNonQueryAsync();
    }
}
