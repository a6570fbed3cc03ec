// The head of the document is written by usePageTitle; the router only asks for something to wrap the page in.
exports.Head = { Provider: ({ children }) => children };
