document.getElementById("form").addEventListener("submit", async (event) => {
  event.preventDefault();
  const say = document.getElementById("say");
  try {
    const answer = await fetch("/enter", {
      method: "POST",
      headers: { "Content-Type": "application/json" },
      body: JSON.stringify({ passcode: document.getElementById("passcode").value }),
    });
    if (answer.ok) location.href = "/run";
    else say.textContent = (await answer.json()).problem.sentence;
  } catch {
    say.textContent = "The server cannot be reached. Try again.";
  }
});
