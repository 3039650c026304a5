/** The least of what is in a heap of cells by their cost. */
export class Heap {
  readonly #cells: number[] = [];
  readonly #costs: number[] = [];
  get size(): number {
    return this.#cells.length;
  }
  push(cell: number, cost: number): void {
    const [cells, costs] = [this.#cells, this.#costs];
    let i = cells.length;
    cells.push(cell);
    costs.push(cost);
    while (i > 0) {
      const up = (i - 1) >> 1;
      if (costs[up]! <= cost) break;
      cells[i] = cells[up]!;
      costs[i] = costs[up]!;
      i = up;
    }
    cells[i] = cell;
    costs[i] = cost;
  }
  pop(): { cell: number; cost: number } {
    const [cells, costs] = [this.#cells, this.#costs];
    const least = { cell: cells[0]!, cost: costs[0]! };
    const [cell, cost] = [cells.pop()!, costs.pop()!];
    const n = cells.length;
    let i = 0;
    while (n > 0) {
      let next = 2 * i + 1;
      if (next >= n) break;
      if (next + 1 < n && costs[next + 1]! < costs[next]!) next++;
      if (costs[next]! >= cost) break;
      cells[i] = cells[next]!;
      costs[i] = costs[next]!;
      i = next;
    }
    if (n > 0) {
      cells[i] = cell;
      costs[i] = cost;
    }
    return least;
  }
}
