/**
 * Devices at the bench, real ones and stand-ins alike: what they show, whether it can be believed, how old it is; and the log of one
 * against a repair.
 */
package vanemend.app.device;
