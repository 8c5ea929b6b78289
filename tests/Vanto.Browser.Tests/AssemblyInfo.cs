[assembly: CollectionBehavior(DisableTestParallelization = true)]
