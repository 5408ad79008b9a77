export default async function prepare() {}
