# Two commands do everything: `make demo` and `make test`. Both install what is missing first.
# While working: `make quick`, which leaves out what takes long and the browser.
SHELL := /bin/bash
ADDRESS ?= 127.0.0.1:8080
SERVERS ?= 1

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
	@go build -o bin/ambergate ./cmd/ambergate

check: setup
	@scripts/check

go-test: setup
	go test ./...

unit-test: setup
	@npm --prefix web run --silent test

browser-test: build
	@npm --prefix e2e run --silent test

lint: check

format:
	gofmt -w $$(git ls-files '*.go')
	npm --prefix web run --silent format

generate:
	cd api && go generate ./...
	go generate ./schema
	npm --prefix web run --silent types

bench: build
	go test -run '^$$' -bench . -benchmem ./bench/...
	go run ./bench/http
	go run ./bench/rows
	go run ./bench/steps
	go run ./bench/worst
	go run ./bench/structure
	go run ./bench/deep
	go run ./bench/streams
	go run ./bench/tags
	go run ./bench/large/measure
	go run ./bench/wholemap
	cd e2e && node ../bench/browser/measure.mjs

pictures: build
	npm --prefix e2e run --silent pictures
