//! The log: what went wrong, on standard error, and never more of it than a disk can bear. A stranger who makes the
//! same thing fail a thousand times a second gets sixty lines a minute, and a count of the rest.

use std::io::{Stderr, Write as _, stderr};
use std::sync::{Mutex, PoisonError};
use std::time::{Duration, Instant};

use tracing_subscriber::EnvFilter;
use tracing_subscriber::fmt::MakeWriter;
use tracing_subscriber::fmt::writer::OptionalWriter;

/// Most lines in one minute.
const MOST: u32 = 60;
const MINUTE: Duration = Duration::from_secs(60);

/// What was written in this minute.
#[derive(Debug)]
struct Minute {
    began: Instant,
    lines_n: u32,
    left_out_n: u64,
}

impl Minute {
    fn beginning(now: Instant) -> Self {
        Self { began: now, lines_n: 0, left_out_n: 0 }
    }

    /// Whether a further line may be written now, and how many were left out in a minute that has ended.
    fn takes(&mut self, now: Instant) -> (bool, u64) {
        let mut left_out_n = 0;
        if now.duration_since(self.began) >= MINUTE {
            left_out_n = std::mem::replace(self, Self::beginning(now)).left_out_n;
        }
        let takes = self.lines_n < MOST;
        if takes {
            self.lines_n += 1;
        } else {
            self.left_out_n += 1;
        }
        (takes, left_out_n)
    }
}

struct Capped(Mutex<Minute>);

impl<'a> MakeWriter<'a> for Capped {
    type Writer = OptionalWriter<Stderr>;

    fn make_writer(&'a self) -> Self::Writer {
        let (takes, left_out_n) = self.0.lock().unwrap_or_else(PoisonError::into_inner).takes(Instant::now());
        if left_out_n > 0 {
            // A log that cannot be written has nowhere to say so.
            let _ = writeln!(stderr(), "{left_out_n} further lines of that minute are left out");
        }
        if takes { OptionalWriter::some(stderr()) } else { OptionalWriter::none() }
    }
}

/// Starts the log: warnings and errors, or what `RUST_LOG` says.
pub fn start_log() {
    let filter = EnvFilter::try_from_default_env().unwrap_or_else(|_| EnvFilter::new("warn"));
    let capped = Capped(Mutex::new(Minute::beginning(Instant::now())));
    tracing_subscriber::fmt().with_env_filter(filter).with_writer(capped).init();
}

#[cfg(test)]
mod tests {
    use super::{MINUTE, MOST, Minute};
    use std::time::{Duration, Instant};

    #[test]
    fn a_minute_takes_so_many_lines_and_the_next_says_how_many_were_left_out() {
        let start = Instant::now();
        let mut minute = Minute::beginning(start);
        for n in 0..MOST + 1000 {
            assert_eq!(minute.takes(start + Duration::from_millis(u64::from(n))), (n < MOST, 0));
        }
        assert_eq!(minute.takes(start + MINUTE), (true, 1000));
        assert_eq!(minute.takes(start + MINUTE), (true, 0));
    }
}
