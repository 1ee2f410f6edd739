/** Fetches what a mock test leads to while there is a network: its panels, its result and its debrief open without one. */
export function fetchAhead(): void {
  void Promise.allSettled([
    import('../verdict/VerdictPage'),
    import('../debrief/DebriefPage'),
    import('../yard/SensorsPanel'),
    import('../yard/SensorReader'),
    import('../yard/YardConsole'),
  ]);
}
