/** Fetches the pages of a drive ahead of need, so that one can be begun, ended and judged while the server is away. */
export function preloadDrivePages(): void {
  void Promise.allSettled([
    import('../base/device/forget'),
    import('../drives/DrivePage'),
    import('../drives/desk/DeskPage'),
    import('../drives/verdict/VerdictPage'),
    import('../drives/debrief/DebriefPage'),
    import('../today/TodayPage'),
  ]);
}
