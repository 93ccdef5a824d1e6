# Two commands do everything: `make demo` and `make test`. Both install what is missing first.
# While working: `make quick`, which leaves out what takes long and the browser.
SHELL := /bin/bash
ADDRESS ?= 127.0.0.1:8080
SERVERS ?= 1
# Without MessagePack, which nobody speaks here: its library takes a seventh of all compiling on a new machine.
export GOFLAGS := $(GOFLAGS) -tags=nomsgpack

.PHONY: demo demo-reset test quick without-database setup build check go-test unit-test browser-test lint format generate bench pictures

demo: build
	@./bin/ambergate demo --address $(ADDRESS) --servers $(SERVERS)

demo-reset:
	@scripts/stop-demo
	rm -rf .demo

# The tests of Go wait for databases half of the time: what needs none runs beside them.
test: build
	@$(MAKE) --no-print-directory -j2 -O go-test without-database
	@npm --prefix e2e run --silent test

without-database: check unit-test

quick: without-database
	go test -short ./...

setup:
	@scripts/setup

build: setup
	@npm --prefix web run --silent build
	@GOGC=400 go build -o bin/ambergate ./cmd/ambergate

check: setup
	@scripts/check

# The longest of them take minutes: on a busy machine more than the ten that are usual. They begin first, and a third
# one runs while they wait. What vet says is asked for by check; without what debuggers read, linking takes two thirds of
# the time; collecting what is free less often takes a tenth of it, of compiling too.
go-test: setup
	GOGC=400 go test -p 3 -timeout 40m -vet=off -ldflags=-w ./demo/stage ./server ./...

unit-test: setup
	@npm --prefix web run --silent test

browser-test: build
	@npm --prefix e2e run --silent test

lint: check

format:
	gofmt -w $$(git ls-files '*.go')
	npm --prefix web run --silent format

generate:
	cd api && go generate ./... && sha256sum openapi.yaml oapi.yaml tools.mod api.gen.go >api.sum
	go generate ./schema
	npm --prefix web run --silent types

# What is printed is kept in bench/last.log, from which the table of the budgets at its end is made.
bench: build
	@set -o pipefail; { \
	  go test -run '^$$' -bench . -benchmem ./bench/... && \
	  for one in http people rows steps worst structure deep streams tags large/measure wholemap year; do echo; echo "== $$one"; go run ./bench/$$one || exit 1; done && \
	  echo && echo "== browser" && (cd e2e && node ../bench/browser/measure.mjs); \
	} 2>&1 | tee bench/last.log
	@go run ./bench/budgets bench/last.log

pictures: build
	npm --prefix e2e run --silent pictures
