namespace Vanto.Storage;

/// <summary>The store cannot be used as it is; the message says why and what to do, in words for the person at the console.</summary>
public sealed class StoreException(string message, Exception? inner = null) : IOException(message, inner);
