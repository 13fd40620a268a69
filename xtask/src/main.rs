//! The project's own commands: `cargo xtask demo`, `test`, `shots`, `bench`, `soak`, `api`, `texts`.

mod machine;
mod rooms;
mod texts;

use std::path::{Path, PathBuf};

use anyhow::{Context as _, Result, bail};
use clap::{Parser, Subcommand};
use xshell::{Shell, cmd};

/// The project's own commands.
#[derive(Parser)]
struct Cli {
    #[command(subcommand)]
    command: Command,
}

#[derive(Subcommand)]
enum Command {
    /// Builds everything and serves the demo workshop.
    Demo {
        /// Start over with a new demo workshop.
        #[arg(long)]
        fresh: bool,
        /// Port to listen on.
        #[arg(long, default_value_t = 4780)]
        port: u16,
    },
    /// Checks and tests everything.
    Test {
        /// Leave out the browser.
        #[arg(long)]
        quick: bool,
    },
    /// Checks that no module uses one above it; a part of `test`.
    Rooms,
    /// Writes every text a person reads on one page: target/texts.md.
    Texts,
    /// Remakes `docs/screenshots` from the demo workshop.
    Shots,
    /// Runs every bench whose figures stand in the documents.
    Bench,
    /// Puts a server under ten minutes of a workshop's work, and takes the largest rack out and in.
    Soak {
        /// Minutes of work.
        #[arg(default_value = "10")]
        minutes: String,
    },
    /// Builds the one file to keep: the program with the front end in it.
    Release,
    /// Writes the API's description, its TypeScript types and the schemas of documents anew.
    Api,
}

fn main() -> Result<()> {
    let shell = Shell::new()?;
    shell.change_dir(root()?);
    match Cli::parse().command {
        Command::Demo { fresh, port } => demo(&shell, fresh, port),
        Command::Test { quick } => test(&shell, quick),
        Command::Rooms => rooms::check(&root()?),
        Command::Texts => texts(&shell),
        Command::Shots => shots(&shell),
        Command::Bench => bench(&shell),
        Command::Soak { minutes } => soak(&shell, &minutes),
        Command::Release => release(&shell),
        Command::Api => api(&shell),
    }
}

fn root() -> Result<PathBuf> {
    let here = Path::new(env!("CARGO_MANIFEST_DIR"));
    Ok(here.parent().context("xtask has no parent folder")?.to_owned())
}

fn demo(shell: &Shell, fresh: bool, port: u16) -> Result<()> {
    build_web(shell)?;
    cmd!(shell, "cargo build --profile demo --package lorimant").run()?;
    shell.create_dir("data")?;
    if fresh {
        for file in ["data/demo.lorimant", "data/demo.lorimant-wal", "data/demo.lorimant-shm"] {
            shell.remove_path(file)?;
        }
    }
    let port = port.to_string();
    cmd!(shell, "target/demo/lorimant serve --data data/demo.lorimant --demo --port {port}").run()?;
    Ok(())
}

/// Installs the front end's packages where they are missing or changed, and builds it.
fn build_web(shell: &Shell) -> Result<()> {
    machine::needs_node(shell)?;
    let _web = shell.push_dir("web");
    let lock = shell.read_file("package-lock.json")?;
    let stamp = "node_modules/.lorimant-lock";
    if shell.read_file(stamp).ok().as_deref() != Some(lock.as_str()) {
        cmd!(shell, "npm ci --no-audit --no-fund").run()?;
        shell.write_file(stamp, &lock)?;
    }
    cmd!(shell, "npm run --silent build").run()?;
    Ok(())
}

/// How many browser tests run side by side: each waits for its page most of the time.
const BROWSERS: &str = "4";

/// Everything is run whatever fails before it; what failed is said at the end.
fn test(shell: &Shell, quick: bool) -> Result<()> {
    build_web(shell)?;
    let mut failed = vec![];
    let mut run = |what: &'static str, outcome: Result<()>| {
        if let Err(error) = outcome {
            eprintln!("{what}: {error:#}");
            failed.push(what);
        }
    };
    run("rooms", rooms::check(&root()?));
    run("texts", texts::check(&root()?));
    run("formatting", passes(cmd!(shell, "cargo fmt --all --check")));
    {
        let _web = shell.push_dir("web");
        run("types of the front end", passes(cmd!(shell, "npm run --silent check")));
        run("lints of the front end", passes(cmd!(shell, "npm run --silent lint")));
    }
    run("lints", build_tests(shell)?);
    run("API drift", check_api_drift(shell));
    run("core and server", passes(cmd!(shell, "cargo test --workspace --no-fail-fast --bins --tests")));
    run("examples", passes(cmd!(shell, "cargo test --workspace --no-fail-fast --doc")));
    if !quick {
        machine::needs_browser(shell)?;
        let browser = cmd!(shell, "cargo test --workspace --test interface -- --test-threads {BROWSERS}");
        run("interface", passes(browser));
    }
    if failed.is_empty() {
        return Ok(());
    }
    bail!("failed: {}", failed.join(", "))
}

/// Builds every test and bench with Clippy as the compiler, so that what others wrote is compiled once for both. Where a
/// lint fails, they are built all the same; gives what the lints say.
fn build_tests(shell: &Shell) -> Result<Result<()>> {
    let toolchain = cmd!(shell, "rustc --print sysroot").read()?;
    let clippy =
        Path::new(&toolchain).join("bin").join(format!("clippy-driver{}", std::env::consts::EXE_SUFFIX));
    if !clippy.exists() {
        bail!("Clippy is missing. Install it with `rustup component add clippy`.");
    }
    shell.set_var("RUSTC_WORKSPACE_WRAPPER", clippy);
    // How Clippy parts its arguments where it is not called by `cargo clippy`.
    shell.set_var("CLIPPY_ARGS", "-Dwarnings__CLIPPY_HACKERY__");
    // Always the whole workspace, so that shared crates are built once with one set of features.
    let all = ["--bins", "--tests", "--benches", "--examples"];
    let build = || {
        passes(cmd!(shell, "cargo test --workspace {all...} --no-run"))?;
        passes(cmd!(shell, "cargo test --workspace --test interface --no-run"))
    };
    let lints = build();
    if lints.is_err() {
        shell.set_var("CLIPPY_ARGS", "");
        build()?;
    }
    Ok(lints)
}

fn passes(command: xshell::Cmd) -> Result<()> {
    Ok(command.run()?)
}

/// The description, types and schema that are checked in, with what makes them.
fn generated(shell: &Shell) -> Result<[(&'static str, String); 4]> {
    let server = "target/debug/lorimant";
    Ok([
        ("web/openapi.json", cmd!(shell, "{server} openapi").read()?),
        ("docs/schema/plans.schema.json", cmd!(shell, "{server} plan-schema").read()?),
        ("docs/schema/rack.schema.json", cmd!(shell, "{server} rack-schema").read()?),
        ("docs/schema/line.schema.json", cmd!(shell, "{server} line-schema").read()?),
    ])
}

fn release(shell: &Shell) -> Result<()> {
    build_web(shell)?;
    cmd!(shell, "cargo build --release --package lorimant").run()?;
    println!("target/release/lorimant");
    Ok(())
}

fn api(shell: &Shell) -> Result<()> {
    cmd!(shell, "cargo build --package lorimant").run()?;
    for (file, text) in generated(shell)? {
        shell.write_file(file, text + "\n")?;
    }
    let _web = shell.push_dir("web");
    cmd!(shell, "npm run --silent types").run()?;
    Ok(())
}

/// Fails where what is checked in is not what the server says.
fn check_api_drift(shell: &Shell) -> Result<()> {
    for (file, text) in generated(shell)? {
        if shell.read_file(file)?.trim_end() != text.trim_end() {
            bail!("{file} is out of date: run `cargo xtask api`");
        }
    }
    let folder = shell.create_temp_dir()?;
    let fresh = folder.path().join("schema.d.ts");
    {
        let _web = shell.push_dir("web");
        cmd!(shell, "npx --no-install openapi-typescript openapi.json -o {fresh}").quiet().read()?;
    }
    if shell.read_file("web/src/api/schema.d.ts")? != shell.read_file(&fresh)? {
        bail!("web/src/api/schema.d.ts is out of date: run `cargo xtask api`");
    }
    Ok(())
}

fn texts(shell: &Shell) -> Result<()> {
    texts::check(&root()?)?;
    shell.write_file("target/texts.md", texts::page(&root()?)?)?;
    println!("target/texts.md");
    Ok(())
}

fn shots(shell: &Shell) -> Result<()> {
    build_web(shell)?;
    machine::needs_browser(shell)?;
    cmd!(shell, "cargo build --package lorimant").run()?;
    shell.create_dir("docs/screenshots")?;
    cmd!(shell, "cargo run --quiet --package lorimant-ui-tests --bin shots").run()?;
    Ok(())
}

fn bench(shell: &Shell) -> Result<()> {
    build_web(shell)?;
    machine::needs_browser(shell)?;
    cmd!(shell, "cargo build --release --package lorimant").run()?;
    cmd!(shell, "cargo bench --package lorimant-core").run()?;
    cmd!(shell, "cargo run --release --quiet --package lorimant-core --example schedules").run()?;
    cmd!(shell, "cargo test --release --package lorimant-core --test core -- --ignored --nocapture").run()?;
    cmd!(shell, "cargo run --release --quiet --package lorimant-ui-tests --bin measure").run()?;
    Ok(())
}

fn soak(shell: &Shell, minutes: &str) -> Result<()> {
    build_web(shell)?;
    cmd!(shell, "cargo build --release --package lorimant").run()?;
    cmd!(shell, "cargo run --release --quiet --package lorimant-ui-tests --bin soak {minutes}").run()?;
    Ok(())
}
