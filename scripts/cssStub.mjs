// A style sheet where nothing is drawn: every class is called by its own name.
export default new Proxy({}, { get: (_, name) => String(name) });
