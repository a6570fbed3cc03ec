/** The part of npm's vcf that the tests call; it has no types of its own. */
declare module 'vcf' {
  namespace Vcf {
    interface Property {
      valueOf(): string;
    }
  }
  class Vcf {
    static parse(text: string): Vcf[];
    get(name: string): unknown;
    set(name: string, value: string, params?: Record<string, string>): void;
    add(name: string, value: string, params?: Record<string, string>): void;
    toString(version?: string): string;
  }
  export default Vcf;
}
