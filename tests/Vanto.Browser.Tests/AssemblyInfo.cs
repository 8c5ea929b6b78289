[assembly: CollectionBehavior(MaxParallelThreads = 2)]
[assembly: TestCollectionOrderer("Vanto.Browser.Tests.LongestFirst", "Vanto.Browser.Tests")]
[assembly: TestFramework("Vanto.Browser.Tests.BrowserTestFramework", "Vanto.Browser.Tests")]
