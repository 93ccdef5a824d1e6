/** What the tests use of a reader of state machines (SCXML). */
declare module '@scion-scxml/scxml' {
  interface Model {
    prepare(done: (e: Error | null, fn: unknown) => void): void;
  }
  const scxml: {
    documentStringToModel(name: string, text: string, done: (e: Error | null, model: Model) => void): void;
    core: { Statechart: new (fn: unknown) => { start(): string[]; gen(event: { name: string }): string[] } };
  };
  export default scxml;
}
