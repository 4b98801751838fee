/**
 * Factorises a symmetric positive definite matrix (rows in one array) as L·Lᵀ, in place in its lower triangle, and gives the
 * way to solve with it. Some 300 unknowns once a wheel: a package for this would weigh more than it does.
 * Errors: a matrix that is not positive definite.
 */
export function factorise(a: Float64Array, n: number): (rhs: Float64Array) => Float64Array {
  for (let j = 0; j < n; j++) {
    const rowJ = j * n;
    for (let i = j; i < n; i++) {
      const rowI = i * n;
      let sum = a[rowI + j]!;
      for (let k = 0; k < j; k++) sum -= a[rowI + k]! * a[rowJ + k]!;
      if (i === j) {
        if (sum <= 0) throw new Error('not positive definite');
        a[rowI + j] = Math.sqrt(sum);
      } else a[rowI + j] = sum / a[rowJ + j]!;
    }
  }
  return (rhs) => {
    const x = Float64Array.from(rhs);
    for (let i = 0; i < n; i++) {
      let sum = x[i]!;
      for (let k = 0; k < i; k++) sum -= a[i * n + k]! * x[k]!;
      x[i] = sum / a[i * n + i]!;
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = x[i]!;
      for (let k = i + 1; k < n; k++) sum -= a[k * n + i]! * x[k]!;
      x[i] = sum / a[i * n + i]!;
    }
    return x;
  };
}
