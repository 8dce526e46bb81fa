import { useQuery } from "@tanstack/react-query";
import { BrowserRouter, Navigate, Route, Routes } from "react-router";
import { SignIn } from "./account/SignIn";
import { ask, type Signed } from "./api/client";
import { Bench } from "./bench/Bench";
import { Contacts } from "./contacts/Contacts";
import { Delivery } from "./delivery/Delivery";
import { Intake } from "./intake/Intake";
import { Shoots } from "./shoots/Shoots";

/** Which screen stands at which address. */
export function App() {
  const session = useQuery({
    queryKey: ["session"],
    queryFn: () => ask<Signed>("/api/session"),
    retry: false,
  });
  if (session.isPending) return null;
  if (!session.data) return <SignIn />;
  return (
    <BrowserRouter>
      <Routes>
        <Route path="/shoots" element={<Shoots />} />
        <Route path="/shoots/:shoot" element={<Contacts />} />
        <Route path="/shoots/:shoot/intake" element={<Intake />} />
        <Route path="/shoots/:shoot/delivery" element={<Delivery />} />
        <Route path="/views/:view" element={<Bench />} />
        <Route path="*" element={<Navigate to="/shoots" replace />} />
      </Routes>
    </BrowserRouter>
  );
}
