[assembly: CollectionBehavior(MaxParallelThreads = 2)]
