/** A device, and the session it counts its balls within; one that names none has one for ever. */
export interface DeviceInSession {
  device: string;
  deviceSession: string;
}

/** What the keys of all balls of a device's session begin with. */
export function deviceKeyOf({ device, deviceSession }: DeviceInSession): string {
  return `monitor:${encodeURIComponent(device)}:${encodeURIComponent(deviceSession)}:`;
}

/**
 * What tells a ball from every other: device, session, number and moment. A device that counts from 1 again
 * within one session gives the same numbers at other moments, and they are other balls.
 */
export function monitorKey(of: DeviceInSession, number: number, at: string): string {
  return `${deviceKeyOf(of)}${number}:${Date.parse(at)}`;
}
