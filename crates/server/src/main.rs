//! `lorimant`: the command line.

use std::io::Write as _;
use std::net::{IpAddr, SocketAddr};
use std::path::{Path, PathBuf};
use std::time::Duration;

use anyhow::{Context as _, bail};
use clap::{Parser, Subcommand};
use lorimant_server::{
    Caliper, Held, Instruments, Printer, Scale, Store, Winder, app, hash_passphrase, line_schema, load_demo,
    openapi, plan_schema, rack_schema, serve, start_log,
};

/// A bench companion for wire jewellers.
#[derive(Parser)]
#[command(version)]
struct Cli {
    #[command(subcommand)]
    command: Command,
}

#[derive(Subcommand)]
enum Command {
    /// Serves the workshop in one file to a browser.
    Serve(Serve),
    /// Sets the passphrase of a workshop's file, read from standard input.
    Passphrase {
        /// The workshop's file.
        #[arg(long)]
        data: PathBuf,
    },
    /// Writes all of a workshop into a new file, also while a server has it open.
    Backup {
        /// The workshop's file.
        #[arg(long)]
        data: PathBuf,
        /// Where the copy is to be; there must be no file there yet.
        #[arg(long)]
        to: PathBuf,
    },
    /// Puts a copy in the place of what a workshop's file holds, and keeps what it replaces. Stop the server first, or
    /// restore in its Settings.
    Restore {
        /// The copy.
        #[arg(long)]
        from: PathBuf,
        /// The workshop's file.
        #[arg(long)]
        data: PathBuf,
    },
    /// Looks whether a workshop's file is sound: its pages, its sums, every record.
    Check {
        /// The workshop's file, or a copy.
        #[arg(long)]
        data: PathBuf,
    },
    /// Prints the API's description.
    Openapi,
    /// Prints the JSON schema of a plan document.
    PlanSchema,
    /// Prints the JSON schema of a rack.
    RackSchema,
    /// Prints the JSON schema of a line of a whole workshop.
    LineSchema,
}

#[derive(clap::Args)]
struct Serve {
    /// The workshop's file; made if it is not there.
    #[arg(long)]
    data: PathBuf,
    /// Port to listen on; 0 picks one and prints it.
    #[arg(long, default_value_t = 4780)]
    port: u16,
    /// Address to listen on. Anything but loopback needs a passphrase.
    #[arg(long, default_value = "127.0.0.1")]
    listen: IpAddr,
    /// A further host name to answer to, for example the machine's name in the workshop's network.
    #[arg(long = "host-name")]
    host_names: Vec<String>,
    /// The caliper: `host:port`, or a serial device; a simulated one if left out.
    #[arg(long)]
    caliper: Option<String>,
    /// The scale: `host:port`, or a serial device; a simulated one if left out.
    #[arg(long)]
    scale: Option<String>,
    /// The winder with its counter: `host:port`, or a serial device; a simulated one if left out.
    #[arg(long)]
    winder: Option<String>,
    /// The printer for labels: `host:port`, taking PDF; a simulated one if left out.
    #[arg(long)]
    printer: Option<String>,
    /// Load the demo workshop if the file is new.
    #[arg(long)]
    demo: bool,
    /// The language of every text; `pseudo` is English in other letters, so that a text outside the catalogues is seen.
    #[arg(long, value_enum, default_value_t)]
    language: Language,
}

/// A language that can be chosen.
#[derive(Debug, Clone, Copy, Default, clap::ValueEnum)]
enum Language {
    #[default]
    English,
    Pseudo,
}

fn main() -> anyhow::Result<()> {
    match Cli::parse().command {
        Command::Serve(options) => {
            start_log();
            let runtime = tokio::runtime::Builder::new_multi_thread().enable_all().build()?;
            let served = runtime.block_on(run(options));
            // Whatever still works something out is not waited for: nothing of it was acknowledged.
            runtime.shutdown_timeout(LAST_WORK);
            served
        }
        Command::Backup { data, to } => back_up(&data, &to),
        Command::Restore { from, data } => restore(&from, &data),
        Command::Check { data } => check(&data),
        Command::Passphrase { data } => set_passphrase(&data),
        Command::Openapi => print(&openapi()),
        Command::PlanSchema => print(&plan_schema()),
        Command::RackSchema => print(&rack_schema()),
        Command::LineSchema => print(&line_schema()),
    }
}

fn print(text: &str) -> anyhow::Result<()> {
    writeln!(std::io::stdout(), "{text}")?;
    Ok(())
}

/// How long work that is under way may take to end once the server has stopped.
const LAST_WORK: Duration = Duration::from_secs(1);

async fn run(options: Serve) -> anyhow::Result<()> {
    lorimant_text::speak(match options.language {
        Language::English => lorimant_text::Language::English,
        Language::Pseudo => lorimant_text::Language::Pseudo,
    });
    let is_new = !options.data.exists();
    if let Some(folder) = options.data.parent() {
        std::fs::create_dir_all(folder)
            .with_context(|| format!("cannot make the folder {}", folder.display()))?;
    }
    let unopened = || format!("cannot open the workshop's file {}", options.data.display());
    let _held = Held::take(&options.data).with_context(unopened)?;
    let store = Store::open(&options.data).with_context(unopened)?;
    if !options.listen.is_loopback() && store.passphrase_hash()?.is_none() {
        bail!(
            "listening on {} lets others reach this workshop, and it has no passphrase. Set one first:\n  lorimant \
             passphrase --data {}",
            options.listen,
            options.data.display()
        );
    }
    if options.demo && is_new {
        load_demo(&store)?;
    }
    let wanted = SocketAddr::new(options.listen, options.port);
    let listener =
        tokio::net::TcpListener::bind(wanted).await.with_context(|| format!("cannot listen on {wanted}"))?;
    let address = listener.local_addr()?;
    let instruments = Instruments {
        caliper: options.caliper.as_deref().map_or_else(Caliper::simulated, Caliper::at),
        scale: options.scale.as_deref().map_or_else(Scale::simulated, Scale::at),
        winder: options.winder.as_deref().map_or_else(Winder::simulated, Winder::at),
        printer: options.printer.as_deref().map_or_else(Printer::simulated, Printer::at),
    };
    let at = format!("http://{address}/");
    if let Err(error) = store.served_at(&at) {
        // A full disk keeps nobody from reading.
        tracing::warn!(%error, "the file does not say where it is served");
    }
    if let Some(why) = store.only_read() {
        tracing::error!("{why}");
    }
    tokio::spawn(copy_each_day(store.clone()));
    let app = app(store.clone(), address, &options.host_names, instruments)?;
    print(&format!("Lorimant is at {at}"))?;
    serve(listener, app, stop()).await;
    store.settle().context("what was written last is in the log beside the file, and stays there")?;
    Ok(())
}

/// How often it is looked whether the day's copy is due.
const COPY_LOOK: Duration = Duration::from_secs(3600);

async fn copy_each_day(store: Store) {
    let mut hours = tokio::time::interval(COPY_LOOK);
    loop {
        hours.tick().await;
        let store = store.clone();
        match tokio::task::spawn_blocking(move || store.copy_of_the_day()).await {
            Ok(Ok(None)) => {}
            Ok(Ok(Some(copy))) => tracing::info!(copy = %copy.display(), "the day's copy is made"),
            Ok(Err(error)) => tracing::warn!(%error, "the day's copy could not be made"),
            Err(_) => return,
        }
    }
}

/// Waits for Ctrl-C or a request to terminate; a second one ends the program at once.
async fn stop() {
    asked_to_stop().await;
    tokio::spawn(async {
        asked_to_stop().await;
        std::process::exit(130);
    });
}

async fn asked_to_stop() {
    let interrupt = tokio::signal::ctrl_c();
    #[cfg(unix)]
    {
        use tokio::signal::unix::{SignalKind, signal};
        if let Ok(mut terminate) = signal(SignalKind::terminate()) {
            tokio::select! { _ = interrupt => {}, _ = terminate.recv() => {} }
            return;
        }
    }
    let _ = interrupt.await;
}

fn back_up(data: &Path, to: &Path) -> anyhow::Result<()> {
    Store::back_up_file(data, to).with_context(|| format!("cannot copy {}", data.display()))?;
    print(&format!("All of it is in {}.", to.display()))
}

fn restore(from: &Path, data: &Path) -> anyhow::Result<()> {
    let kept =
        Store::restore_file(from, data).with_context(|| format!("cannot restore {}", data.display()))?;
    let replaced =
        kept.map_or_else(String::new, |kept| format!(" What it replaced is kept in {}.", kept.display()));
    print(&format!("All of {} is in {} now.{replaced}", from.display(), data.display()))
}

fn check(data: &Path) -> anyhow::Result<()> {
    let found = Store::check_file(data).with_context(|| format!("cannot check {}", data.display()))?;
    if found.problems.is_empty() {
        return print(&format!("{} is sound: {} records and lines.", data.display(), found.lines_n));
    }
    for problem in &found.problems {
        print(problem)?;
    }
    bail!("{} is not sound. Restore a copy: lorimant restore --from COPY --data {0}", data.display())
}

fn set_passphrase(data: &Path) -> anyhow::Result<()> {
    write!(std::io::stderr(), "New passphrase: ")?;
    let mut line = String::new();
    std::io::stdin().read_line(&mut line)?;
    let hash = hash_passphrase(line.trim_end_matches(['\r', '\n'])).map_err(anyhow::Error::msg)?;
    Store::set_passphrase_of(data, &hash)?;
    writeln!(
        std::io::stderr(),
        "The passphrase is set. Everyone has to enter it now, on a running server too."
    )?;
    Ok(())
}
