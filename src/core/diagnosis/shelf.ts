/** A map that forgets what has not been asked for longest, beyond a number of entries. */
export class Shelf<Value> {
  private readonly map = new Map<string, Value>();

  constructor(private readonly most: number) {}

  get size(): number {
    return this.map.size;
  }

  has(key: string): boolean {
    return this.map.has(key);
  }

  kept(key: string, make: () => Value): Value {
    const found = this.map.has(key) ? this.map.get(key)! : make();
    // Last used goes last: the first of the map is the one to forget.
    this.map.delete(key);
    this.map.set(key, found);
    const oldest = this.map.keys().next().value;
    if (this.map.size > this.most && oldest !== undefined) this.map.delete(oldest);
    return found;
  }
}
