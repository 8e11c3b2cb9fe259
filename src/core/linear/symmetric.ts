/** Symmetric positive definite systems, by Cholesky's factor. Row by row. */

/** @throws RangeError where it is not positive definite. */
export function factorOf(matrix: Float64Array, size: number): Float64Array {
  const lower = new Float64Array(size * size);
  for (let row = 0; row < size; row++) {
    for (let column = 0; column <= row; column++) {
      let sum = matrix[row * size + column]!;
      for (let k = 0; k < column; k++) {
        sum -= lower[row * size + k]! * lower[column * size + k]!;
      }
      if (row !== column) lower[row * size + column] = sum / lower[column * size + column]!;
      else if (sum > 0) lower[row * size + row] = Math.sqrt(sum);
      else throw new RangeError('a matrix is not positive definite');
    }
  }
  return lower;
}

/** Solves L·y = b; the squared length of y is bᵀ·A⁻¹·b. */
export function solveLower(lower: Float64Array, b: Float64Array): Float64Array {
  const size = b.length;
  const y = Float64Array.from(b);
  for (let row = 0; row < size; row++) {
    let sum = y[row]!;
    for (let k = 0; k < row; k++) sum -= lower[row * size + k]! * y[k]!;
    y[row] = sum / lower[row * size + row]!;
  }
  return y;
}

/** Solves A·x = b with A = L·Lᵀ. */
export function solve(lower: Float64Array, b: Float64Array): Float64Array {
  const size = b.length;
  const x = solveLower(lower, b);
  for (let row = size - 1; row >= 0; row--) {
    let sum = x[row]!;
    for (let k = row + 1; k < size; k++) sum -= lower[k * size + row]! * x[k]!;
    x[row] = sum / lower[row * size + row]!;
  }
  return x;
}
