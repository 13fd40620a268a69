## client

client-no-answer = No answer
client-lorimant-server-doesnt-answer-start = The Lorimant server doesn’t answer. Start it again; nothing you saved is lost.
