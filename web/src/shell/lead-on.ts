import { useCallback } from "react";
import { type NavigateOptions, useNavigate } from "react-router";

/**
 * Leads on to where the server's answer belongs, unless whoever asked has gone elsewhere while it was on its way: a hand that was faster than
 * the server is not pulled back. To be taken before asking: {@code const leadOn = asking(); await ask(...); leadOn(to)}.
 */
export function useLeadOn(): () => (to: string, options?: NavigateOptions) => void {
  const navigate = useNavigate();
  return useCallback(() => {
    const asked = window.location.pathname;
    return (to, options) => {
      if (window.location.pathname === asked) void navigate(to, options);
    };
  }, [navigate]);
}
