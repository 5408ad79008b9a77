// Stands in for `server-only` where there is no bundler to enforce it.
export {};
