/**
 * Points at which a test may end this process as a power cut would: `TAMBO_FAULT` names one. Without it nothing happens.
 * @param point for example `swap:renamed`
 */
export function powerCutAt(point: string): void {
  if (process.env.TAMBO_FAULT === point) process.kill(process.pid, 'SIGKILL');
}
