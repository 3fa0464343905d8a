/** Units on screen. The API speaks mm, °C, g and mL; everything shown or typed goes through `units`. */
export type System = "metric" | "inch";
